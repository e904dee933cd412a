import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig, type Plugin } from 'vite';

/**
 * Parsers of answers are built when the first answer of their kind comes in: a page that opens needs a handful of them, and building all
 * took longer than anything else before it drew.
 */
const parsersWhenAsked: Plugin = {
  name: 'parsers-when-asked',
  enforce: 'pre',
  transform: (code, id) =>
    id.endsWith('/contract/zod.gen.ts')
      ? code.replace(
          /^export const (z\w+) = (z\.object\(\{\n[\s\S]*?\n\}\));$/gm,
          'export const $1 = /* @__PURE__ */ z.lazy(() => $2);',
        )
      : null,
};

export default defineConfig({
  plugins: [parsersWhenAsked, laravel({ input: ['resources/js/main.tsx'] }), react({ compiler: true })],
  build: { target: 'es2022' },
});
