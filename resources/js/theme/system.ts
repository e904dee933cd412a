import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/sofia-sans-condensed/wght.css';
import { button, chip, dialog, field, sheet } from './recipes';
import { semanticTokens, tokens } from './tokens';

const config = defineConfig({
  // With layers, every style that is added makes the browser take up its fonts again, and lay the whole page out once more.
  disableLayers: true,
  globalCss: {
    '*, *::before, *::after': {
      boxSizing: 'border-box',
      borderWidth: '0',
      borderStyle: 'solid',
      margin: '0',
      padding: '0',
    },
    html: {
      bg: 'page',
      color: 'ink',
      fontFamily: 'body',
      // Whoever has larger letters in their browser has them here, and all that is measured by them.
      fontSize: '100%',
      lineHeight: 'normal',
      textSizeAdjust: '100%',
    },
    'h1, h2, h3': { fontFamily: 'heading', fontWeight: 'bold', lineHeight: 'tight' },
    'ul, ol': { listStyle: 'none' },
    a: { color: 'inherit' },
    'button, input, select, textarea': { font: 'inherit', color: 'inherit', bg: 'transparent' },
    table: { borderCollapse: 'collapse', width: '100%' },
    'svg text': { fontFamily: 'body' },
    ':focus-visible': { outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' },
    '[data-frame] :focus-visible': { outlineColor: 'onFrame' },
    'body, body *': {
      '@media (prefers-reduced-motion: reduce)': { animation: 'none !important', transition: 'none !important' },
    },
    '[data-screen-only]': { '@media print': { display: 'none !important' } },
  },
  theme: {
    breakpoints: { sm: '480px', md: '760px', lg: '1080px', xl: '1280px' },
    tokens,
    semanticTokens,
    recipes: { button, field, sheet, chip },
    slotRecipes: { dialog },
    textStyles: {
      figure: {
        value: { fontFamily: 'body', fontWeight: 'bold', fontVariantNumeric: 'tabular-nums', lineHeight: 'tight' },
      },
      eyebrow: { value: { fontFamily: 'heading', fontWeight: 'bold', fontSize: 'md', lineHeight: 'tight' } },
      small: { value: { fontSize: 'sm', lineHeight: 'snug', color: 'soft' } },
    },
  },
});

export const system = createSystem(defaultBaseConfig, config);
