import type { ApexOptions } from 'apexcharts'
import dayjs from 'dayjs'
import type { VerdictOrUnknown } from '~~/core/judge/judge'

/** A colour of the bay as it stands now. */
export const bayToken = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim()

/** A judged figure's lozenge: in the tone of its verdict, hollow where it is out. */
export const verdictMark = (verdict: VerdictOrUnknown) => {
  const tone = bayToken(
    verdict === 'in' ? '--in' : verdict === 'edge' ? '--edge' : verdict === 'out' ? '--out' : '--muted',
  )
  return {
    fillColor: verdict === 'out' ? bayToken('--panel') : tone,
    strokeColor: tone,
    shape: 'diamond' as const,
  }
}

/** What every chart over time has alike: no tools, no motion, days below. */
export const overTime = (height: number, day: string, from: number, to: number): ApexOptions => ({
  chart: {
    type: 'line',
    height,
    fontFamily: bayToken('--figures'),
    foreColor: bayToken('--muted'),
    background: 'transparent',
    toolbar: { show: false },
    zoom: { enabled: false },
    animations: { enabled: false },
  },
  legend: { show: false },
  grid: { borderColor: bayToken('--hairline'), padding: { left: 6, right: 14 } },
  tooltip: { enabled: false },
  xaxis: {
    type: 'datetime',
    min: from,
    max: to,
    labels: { formatter: (_, t) => dayjs(t ?? 0).format(day), style: { fontSize: '13px' }, rotate: 0 },
    tickAmount: 4,
    axisTicks: { show: false },
  },
})

/** Draws a chart in its host once that is there, and again as its options change; null draws nothing. */
export const useChart = (
  host: Readonly<Ref<HTMLElement | null>>,
  options: () => ApexOptions | null,
): void => {
  const session = useSession()
  let chart: { updateOptions: (o: ApexOptions) => unknown; destroy: () => void } | null = null
  const draw = async () => {
    const { default: Apex } = await import('apexcharts')
    const now = options()
    if (!host.value || !now || chart) return
    const drawn = new Apex(host.value, now)
    await drawn.render()
    chart = drawn
  }
  onMounted(draw)
  // The tokens change with the light of the bay.
  watch([options, () => session.bay], () => {
    const now = options()
    if (chart && now) chart.updateOptions(now)
    else void draw()
  })
  onBeforeUnmount(() => chart?.destroy())
}
