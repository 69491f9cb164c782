import redos from 'eslint-plugin-redos'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

/** Which way the arrows may point: each folder with what it must not import. */
const arrow = (files, patterns) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: patterns.map(([group, message]) => ({ group, message })) }] },
})
const NOT_APP = [['~/*', '**/app/*'], 'The interface is above this; nothing below may know it.']
const NOT_SERVER = [['**/server/*'], 'Only the server may know the server; speak through the API and shared/.']

export default tseslint.config(
  { ignores: ['node_modules/', '.nuxt/', '.output/', 'data/', '.cache/', 'test-results/'] },
  ...tseslint.configs.strict,
  ...tseslint.configs.stylistic,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/html-indent': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/valid-v-slot': ['error', { allowModifiers: true }],
    },
  },
  {
    rules: {
      // What a check has found is asserted once and used; the alternative is a branch that cannot be reached.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-definitions': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      '@typescript-eslint/no-dynamic-delete': 'off',
      'no-control-regex': 'off',
      // Declarations of untyped packages stand beside their one user.
      '@typescript-eslint/triple-slash-reference': ['error', { path: 'always', types: 'prefer-import', lib: 'never' }],
      'eqeqeq': ['error', 'always', { null: 'ignore' }],
      'no-var': 'error',
      'prefer-const': 'error',
      // Prettier breaks code at 120; this holds comments, and what neither can break (texts, SQL, patterns) is left.
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true, ignoreUrls: true },
      ],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
    },
  },
  // Texts come from people and from files of any length: no pattern may take longer than its text is long.
  {
    files: ['core/**/*.ts', 'shared/**/*.ts', 'server/**/*.ts', 'app/**/*.{ts,vue}'],
    ignores: ['server/services/standin/**'],
    plugins: { redos },
    rules: { 'redos/no-vulnerable': 'error' },
  },
  arrow(
    ['core/**/*.ts'],
    [
      NOT_APP,
      NOT_SERVER,
      [['**/shared/*'], 'core/ knows nothing of ours.'],
      [['node:*', 'vue', 'h3', 'better-sqlite3'], 'core/ is computation alone: no Node, no interface, no SQL.'],
    ],
  ),
  arrow(['shared/**/*.ts'], [NOT_APP, NOT_SERVER]),
  arrow(['server/**/*.ts'], [NOT_APP]),
  arrow(['app/**/*.{ts,vue}'], [NOT_SERVER]),
  {
    files: ['app/**/*.{ts,vue}'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: 'vuetify/components',
              allowTypeImports: true,
              message: 'It brings every component into the first load. Import from vuetify/components/<name>.',
            },
          ],
        },
      ],
    },
  },
  // The simulated services are reached through their interface: how they rank and who likes what is their own business.
  // Only what starts them may name them.
  {
    files: ['server/**/*.ts'],
    ignores: ['server/services/standin/**', 'server/services/connect.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: NOT_APP[0], message: NOT_APP[1] },
            { group: ['**/standin/*'], message: 'The product knows services by their interface alone.' },
          ],
        },
      ],
    },
  },
)
