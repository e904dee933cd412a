import { system } from './system';

/**
 * The same signs after dark: grounds go dark, words light, and every colour that means something keeps its hue. Yellow tags stay as
 * they are by day, and the frame is the darkest. Paper is always white.
 */
const night = {
  page: '#0B151A',
  sheet: '#15252D',
  well: '#1D313A',
  line: '#3A525E',
  ink: '#EAF1F3',
  soft: '#B3C3CB',
  frame: '#060E12',
  onFrame: '#F3F7F8',
  action: '#DB1656',
  actionText: '#FF93B4',
  inside: '#2C9C93',
  found: '#E3923C',
  cantTell: '#A79BF2',
  stop: '#FF8B80',
  focus: '#EAF1F3',
  'paper.tape': '#37321C',
  'paper.tapeEdge': '#6E6438',
  'graphite.edge': '#8AA2AE',
  'steel.dark': '#6C8796',
  'steel.mid': '#A3B4BD',
  'steel.light': '#435B68',
  'vivid.solid': '#FF5C8D',
  'vivid.wash': '#43182A',
  'petrol.shape': '#2C9C93',
  'petrol.text': '#93DDD2',
  'petrol.wash': '#14504C',
  'petrol.pale': '#12332F',
  'amber.shape': '#E3923C',
  'amber.text': '#F5BF84',
  'amber.wash': '#55330F',
  'violet.shape': '#A79BF2',
  'violet.text': '#CBC3F8',
  'violet.wash': '#352C68',
  'red.stop': '#FF8B80',
  'red.wash': '#5A1F1B',
  'blue.cool': '#8AB8E6',
} as const;

const name = (token: string): string => {
  const [, variable = ''] = system.token.var(`colors.${token}`).match(/var\((--[^)]+)\)/) ?? [];
  return variable;
};

const rule = `@media screen { html[data-theme=night] { color-scheme: dark; ${Object.entries(night)
  .map(([token, value]) => `${name(token)}: ${value} !important;`)
  .join(' ')} } }`;

/** Put beside the day's colours once; the mark on the page says which counts. */
export function bringNight(): void {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(rule);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
}

const dark = window.matchMedia('(prefers-color-scheme: dark)');
export type Theme = 'auto' | 'day' | 'night';
let chosen: Theme = 'auto';

const show = (): void => {
  document.documentElement.dataset.theme = chosen === 'night' || (chosen === 'auto' && dark.matches) ? 'night' : 'day';
};
dark.addEventListener('change', show);

export function showIn(theme: Theme): void {
  chosen = theme;
  show();
}
