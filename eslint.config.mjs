// Node 20 lacks Object.groupBy, which the config below needs.
Object.groupBy ??= (items, keyOf) => {
  const groups = Object.create(null)
  for (const [i, item] of [...items].entries()) (groups[keyOf(item, i)] ??= []).push(item)
  return groups
}
const { default: withNuxt } = await import('./.nuxt/eslint.config.mjs')
const { default: prettier } = await import('eslint-config-prettier')

/** Arrows point one way: app and server -> shared -> core. */
const room = (files, forbidden, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ regex: forbidden, message }] }] },
})

const WORDED_ATTRIBUTES = [
  'action',
  'active-text',
  'alt',
  'aria-label',
  'description',
  'detail',
  'empty',
  'headline',
  'inactive-text',
  'label',
  'note',
  'placeholder',
  'question',
  'title',
]

export default withNuxt(
  {
    ignores: ['.output/**', '.nuxt/**', '.local/**', 'node_modules/**'],
  },
  room(
    ['core/**/*.ts'],
    '^(?!\\.{1,2}/(?!.*(shared|server|app|scripts|tests)/))',
    'core imports nothing from outside core.',
  ),
  room(['core/**/*.test.ts'], '(^|/)(shared|server|app|scripts)/', 'Tests of core know core alone.'),
  room(
    ['shared/**/*.ts'],
    '(^|/)(server|app|scripts|tests)/|^(vue|nuxt|h3|knex|pg|node:)',
    'shared imports core and Zod only.',
  ),
  room(['server/**/*.ts'], '(^|/)(app|scripts|tests)/|^(~|@)/', 'server never imports app.'),
  room(['app/**/*.{ts,vue}'], '(^|/)(server|scripts|tests)/|^(knex|pg|node:)', 'app never imports server.'),
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/no-v-html': 'error',
      // Words stand in shared/wording/en.
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: ['=', '?', '+', '+/−', '␣', '⌫', ',', ':', '/', '·'],
          attributes: { '/.+/': WORDED_ATTRIBUTES },
        },
      ],
    },
  },
  {
    // Sentences too. What a contract says of its fields is for programmers and stands beside them.
    files: [
      'app/**/*.{ts,vue}',
      'server/{report,jobs,machines,http,api}/**/*.ts',
      'shared/{stages,methods,register,forms}/**/*.ts',
    ],
    ignores: ['**/*.test.ts', '**/contract.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          ":not(NewExpression[callee.name='Error']) > Literal[value=/^[A-Z][a-z’]+ [a-z’]/]",
          ":not(NewExpression[callee.name='Error']) > TemplateLiteral > TemplateElement[value.raw=/^[A-Z][a-z’]+ /]",
        ].map((selector) => ({ selector, message: 'Words a person reads stand in shared/wording/en.' })),
      ],
    },
  },
  {
    // What core computes must not hang on the clock, on chance or on a network.
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'fetch',
        'process',
        'localStorage',
        'setTimeout',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance is passed in.' },
        { object: 'Date', property: 'now', message: 'The time is passed in.' },
      ],
    },
  },
  prettier,
)
