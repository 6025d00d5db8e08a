import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import pluginVue from 'eslint-plugin-vue'
import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript'

export default defineConfigWithVueTs(
  // document.ts is generated.
  { ignores: ['dist/**', 'target/**', 'node_modules/**', 'src/api/schema.d.ts', 'src/document/document.ts'] },
  js.configs.recommended,
  pluginVue.configs['flat/recommended'],
  vueTsConfigs.recommended,
  prettier,
  {
    ignores: ['src/ui/overlays.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: ['menu', 'popover', 'select'].map((name) => ({
            name: `primevue/${name}`,
            message: 'It closes when an answer moves the page: ui/overlays has one that goes along.',
          })),
        },
      ],
    },
  },
  { rules: { 'vue/multi-word-component-names': 'off', 'max-lines': ['error', 400] } },
)
