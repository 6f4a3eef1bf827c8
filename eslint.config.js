import js from '@eslint/js';
import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript';
import pluginVue from 'eslint-plugin-vue';
import accessibility from 'eslint-plugin-vuejs-accessibility';

export default defineConfigWithVueTs(
  { ignores: ['**/dist/**', '**/node_modules/**', '.cache/**', 'reports/**', 'data/**', 'test-results/**'] },
  js.configs.recommended,
  pluginVue.configs['flat/recommended'],
  accessibility.configs['flat/recommended'],
  vueTsConfigs.strict,
  {
    files: ['**/*.ts', '**/*.vue'],
    rules: {
      // The type checker knows of undefined names; noUncheckedIndexedAccess makes the bang the honest way to say "it is there".
      'no-undef': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/require-default-prop': 'off',
      'vue/define-macros-order': ['error', { order: ['defineProps', 'defineEmits'] }],
      // Labels stand beside their field and name it by id.
      'vuejs-accessibility/label-has-for': ['error', { required: { some: ['nesting', 'id'] } }],
      'vuejs-accessibility/form-control-has-label': 'off',
    },
  },
  {
    // What is longer is more than one thing. Three loops of core, whose steps share what they know, are not cut yet.
    files: ['contract/src/**/*.ts', 'server/src/**/*.ts', 'cli/src/**/*.ts', 'core/src/**/*.ts'],
    ignores: [
      'core/src/choose/shortlist/search.ts',
      'core/src/match/lanes/march.ts',
      'core/src/match/robotMends/robotMends.ts',
    ],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipComments: true }] },
  },
  {
    files: ['**/src/**/*.ts', '**/src/**/*.vue'],
    rules: { '@typescript-eslint/max-params': ['error', { max: 8 }] },
  },
  {
    // A test waits for what it waits for, never for a time.
    files: ['e2e/**/*.ts'],
    rules: {
      'no-restricted-properties': ['error', { property: 'waitForTimeout', message: 'Wait for what is to be seen.' }],
    },
  },
  {
    files: ['**/*.mjs', '**/public/*.js', '*.js', '*.cjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        Buffer: 'readonly',
        console: 'readonly',
        self: 'readonly',
        caches: 'readonly',
        fetch: 'readonly',
        Request: 'readonly',
        URL: 'readonly',
        module: 'readonly',
      },
    },
  },
);
