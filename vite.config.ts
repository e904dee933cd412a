import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, gzip } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { FontaineTransform } from 'fontaine';
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

/** What Chakra's styles are kept by: the styles themselves as text, in the order they were given, which is their order in the sheet. */
const KEPT_STYLES = `
export const memo = (make) => {
  let kept = new Map();
  return function (...given) {
    const alone = given.length === 1 && (typeof given[0] !== 'object' || given[0] === null);
    const key = alone ? given[0] : JSON.stringify(given);
    let made = kept.get(key);
    if (made === undefined) {
      made = make.apply(this, given);
      if (kept.size >= 4000) kept = new Map();
      kept.set(key, made);
    }
    return made;
  };
};`;

const EACH_TIME = 'configOrCva.__cva__ ? configOrCva : cva(configOrCva)';
const ONCE = 'configOrCva.__cva__ ? configOrCva : (madeBy === cva ? made : (madeBy = cva, made = cva(configOrCva)))';

/**
 * Chakra works out what an element looks like whenever it is drawn: a recipe anew for each element, and the styles by a key that it takes
 * longer to make than anything else here. Both are made once.
 */
const stylesOnce: Plugin = {
  name: 'styles-once',
  enforce: 'pre',
  transform: (code, id) => {
    if (id.endsWith('/@chakra-ui/react/dist/esm/utils/memo.js')) return KEPT_STYLES;
    if (!id.endsWith('/@chakra-ui/react/dist/esm/styled-system/factory.js')) return null;
    if (!code.includes(EACH_TIME) || !code.includes('let styles = [];'))
      throw new Error('Chakra makes its elements in another way: look at stylesOnce in vite.config.ts.');
    return code.replace(EACH_TIME, ONCE).replace('let styles = [];', 'let styles = [], madeBy, made;');
  },
};

/** Until the workshop's own letters are there, those of the device stand at their width and height: nothing on the screen jumps. */
const lettersMeanwhile = FontaineTransform.vite({ fallbacks: ['Helvetica Neue', 'Roboto', 'Arial'] });

const [brotli, gzipped] = [promisify(brotliCompress), promisify(gzip)];

/** Each script and stylesheet is packed once, as small as it goes, and served so: packed at each request it was a third larger. */
const packed: Plugin = {
  name: 'packed',
  apply: 'build',
  writeBundle: async ({ dir = '' }, bundle) => {
    const texts = Object.keys(bundle).filter((name) => /\.(?:js|css)$/.test(name));
    await Promise.all(
      texts.map(async (name) => {
        const file = join(dir, name);
        const text = await readFile(file);
        await Promise.all([
          writeFile(`${file}.br`, await brotli(text)),
          writeFile(`${file}.gz`, await gzipped(text, { level: 9 })),
        ]);
      }),
    );
  },
};

export default defineConfig({
  plugins: [
    lettersMeanwhile,
    parsersWhenAsked,
    stylesOnce,
    laravel({ input: ['resources/js/first.ts', 'resources/js/theme/system.ts', 'resources/js/main.tsx'] }),
    react({ compiler: true }),
    packed,
  ],
  build: { target: 'es2022' },
});
