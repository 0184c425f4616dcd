/** The page of each operation's method, as it stands in the docs; loaded when it is asked for. */
const PAGES = import.meta.glob<string>('../../docs/methods/*.md', { query: '?raw', import: 'default' })

const between = (page: string, heading: string): string =>
  page
    .split(new RegExp(`^## ${heading}$`, 'm'))[1]
    ?.split(/^## /m)[0]
    ?.trim() ?? ''

/** A paragraph of a page without the marks that only a reader of files needs. */
const plain = (text: string): string =>
  text
    .replace(/!\[[^\]]*\]\([^)]*\)/g, '')
    .replace(/\[([^\]]*)\]\([^)]*\)/g, '$1')
    .replace(/`|\*\*/g, '')
    .replace(/ \* /g, ' × ')

/** What the docs say of an operation: how it is worked out, what it can't see, and an example of it. */
export const useMethodPage = (operation: string) => {
  const formula = ref<readonly string[]>([])
  const blind = ref<readonly string[]>([])
  const example = shallowRef<{ readonly units: 'inch' | 'metric' } | null>(null)
  onMounted(async () => {
    const load = PAGES[`../../docs/methods/${operation}.md`]
    const page = await load?.().catch(() => null)
    if (!page) return
    formula.value = plain(between(page, 'Formula'))
      .split(/\n{2,}/)
      .map((p) => p.trim())
      .filter(Boolean)
    // Each page ends with what its sum can't see.
    blind.value = (page.split(/^## /m).pop() ?? '')
      .split('\n')
      .filter((line) => line.startsWith('- '))
      .map((line) => plain(line.slice(2)))
    const input = /```json input\n([\s\S]*?)```/.exec(page)?.[1]
    example.value = input ? (JSON.parse(input) as { units: 'inch' | 'metric' }) : null
  })
  return { formula, blind, example }
}
