import { system } from './system';

const names = [
  'ink',
  'soft',
  'sheet',
  'well',
  'action',
  'inside',
  'found',
  'cantTell',
  'stop',
  'onFrame',
  'paper.tape',
  'paper.tapeEdge',
  'petrol.wash',
  'petrol.pale',
  'petrol.text',
  'vivid.wash',
  'vivid.onDark',
  'yellow.tag',
  'graphite.ink',
  'graphite.edge',
  'steel.dark',
  'steel.mid',
  'steel.light',
] as const;

/**
 * The tokens as paint for drawings. Plain SVG elements with these cost nothing to draw again, where a styled element
 * for each tick of a scale does.
 */
export const paint = Object.fromEntries(names.map((name) => [name, system.token.var(`colors.${name}`)])) as Readonly<
  Record<(typeof names)[number], string>
>;

/** A size as plain CSS, for the same drawings. */
export const size = (name: string): string => system.token.var(`sizes.${name}`);
