/**
 * Reads a line that a gauge on this device sent, by the rules of the core (`GaugeLine`), so that noise on the wire never becomes an entry. The
 * file of lines beside the core's tests holds both to the same answers; what is logged is read again by the core.
 */

export type Dimension = 'length' | 'force';
/** `whileMoving`: whether a force counts that the gauge says is not at rest, as each of a pull is. */
export type GaugeSettings = { unit: string | null; before: string; whileMoving?: boolean };
export type ReadLine = { entered: string; dimension: Dimension; lowBattery: boolean };
type Unit = { name: string; dimension: Dimension };

const LONGEST = 80;
const MOST_DIGITS = 6;
const MOST_DECIMALS = 6;
const NUMBER = /^([+-]?)(\d{1,9}(?:[.,]\d{0,12})?|[.,]\d{1,12})(?:E([+-]?\d{1,2}))?([A-Z"/]*)$/i;
const NO_FIGURE = /^(?:OL|OVER|OVLD|OVERLOAD|UL|UNDER|ERR\d*|ERROR\d*|E\d+|NAN|-{2,}|[+-]?-+[.,]?-+)$/i;
const LOW_BATTERY = /\b(?:LOW ?BATT?(?:ERY)?|BATT? ?LOW|LOBATT?)\b/i;
const AT_REST: readonly string[] = ['ST', 'STABLE', 'OK', 'HOLD', 'MAX', 'PEAK'];
const MOVING: readonly string[] = ['US', 'UNSTABLE', 'MOVING'];

const length = (name: string): Unit => ({ name, dimension: 'length' });
const force = (name: string): Unit => ({ name, dimension: 'force' });
const units: Readonly<Record<string, Unit>> = {
  MM: length('mm'),
  CM: length('cm'),
  IN: length('in'),
  INCH: length('in'),
  '"': length('in'),
  N: force('N'),
  LB: force('lbf'),
  LBF: force('lbf'),
  KG: force('kgf'),
  KGF: force('kgf'),
};

/** A line that is no reading; its sentence says why. */
export class NoReading extends Error {}

const quoted = (text: string): string => {
  // biome-ignore lint/suspicious/noControlCharactersInRegex: what may not stand in a sentence
  const line = text.replace(/[\u0000-\u001f\u007f-\u009f\s]+/g, ' ').trim();
  return `“${line.length > 40 ? `${line.slice(0, 40)}…` : line}”`;
};

const only = <T>(before: T | null, now: T, what: string, line: string): T => {
  if (before !== null) throw new NoReading(`The gauge sent ${what} in one line: ${quoted(line)}. Nothing was taken.`);
  return now;
};

/** The line without what every line of this gauge begins with. */
function own(line: string, { before }: GaugeSettings): string {
  const plain = line.trim();
  if (!plain.startsWith(before))
    throw new NoReading(`The line ${quoted(line)} does not begin with ${before}, so it is not this gauge's.`);
  return plain.slice(before.length);
}

const words = (plain: string): readonly string[] =>
  plain
    .replace(/([+-])\s+(?=[\d.,])/g, '$1')
    .split(/[\s;:=]+|(?<!\d),|,(?!\d)/)
    .filter((word) => word !== '');

/** A figure without its power of ten and without zeros before it, with the decimals it was sent with. */
function plainFigure(number: string, power: number, line: string): string {
  let [whole = '', decimals = ''] = number.replace(',', '.').split('.');
  for (let n = power; n > 0; n--) {
    whole += decimals === '' ? '0' : decimals.charAt(0);
    decimals = decimals.slice(1);
  }
  for (let n = power; n < 0; n++) {
    decimals = (whole === '' ? '0' : whole.slice(-1)) + decimals;
    whole = whole.slice(0, -1);
  }
  whole = whole.replace(/^0+/, '') || '0';
  if (whole.length > MOST_DIGITS)
    throw new NoReading(
      `The gauge sent ${quoted(line)}, which is more than any gauge here can show. Nothing was taken.`,
    );
  if (decimals.length > MOST_DECIMALS) {
    [whole = '0', decimals = ''] = Number(`${whole}.${decimals}`).toFixed(MOST_DECIMALS).split('.');
    decimals = decimals.replace(/0+$/, '');
  }
  return decimals === '' ? whole : `${whole}.${decimals}`;
}

const checked = (line: string): void => {
  if (line.length > LONGEST)
    throw new NoReading(
      `The gauge sent more than ${LONGEST} characters without an end of line. Check the settings of its line.`,
    );
  if (/[^\u0020-\u007e\t]/.test(line.trim()))
    throw new NoReading(
      `The gauge sent bytes that are no text: ${quoted(line)}. Check the speed and parity of its line.`,
    );
};

type Found = { figure: RegExpExecArray | null; unit: Unit | null };

function withWord(found: Found, word: string, line: string, whileMoving: boolean): Found {
  const said = word.toUpperCase();
  if (NO_FIGURE.test(word))
    throw new NoReading(`The gauge shows no figure: ${quoted(line)}. Bring it within its range and press again.`);
  if (MOVING.includes(said) && whileMoving) return found;
  if (MOVING.includes(said))
    throw new NoReading(`The gauge had not come to rest: ${quoted(line)}. Hold it still and press again.`);
  const named = units[said];
  if (named !== undefined) return { ...found, unit: only(found.unit, named, 'two units', line) };
  const number = NUMBER.exec(word);
  if (number === null) {
    if (AT_REST.includes(said)) return found;
    throw new NoReading(`The gauge sent ${quoted(line)}, and ${quoted(word)} in it is not known. Nothing was taken.`);
  }
  const figure = only(found.figure, number, 'two figures', line);
  const glued = number[4] ?? '';
  if (glued === '') return { ...found, figure };
  const unit = units[glued.toUpperCase()];
  if (unit === undefined)
    throw new NoReading(
      `The gauge sent ${quoted(line)}, and ${quoted(glued)} is no unit that is known here. Nothing was taken.`,
    );
  return { figure, unit: only(found.unit, unit, 'two units', line) };
}

export function readGaugeLine(line: string, settings: GaugeSettings): ReadLine {
  checked(line);
  const lowBattery = LOW_BATTERY.test(line);
  const plain = own(line, settings).replace(new RegExp(LOW_BATTERY, 'gi'), ' ');
  let found: Found = { figure: null, unit: null };
  for (const word of words(plain)) found = withWord(found, word, line, settings.whileMoving === true);
  const { figure } = found;
  if (figure === null) throw new NoReading(`The gauge sent no figure: ${quoted(line)}.`);
  const unit = found.unit ?? units[(settings.unit ?? '').toUpperCase()];
  if (unit === undefined)
    throw new NoReading(
      `The gauge sent ${quoted(line)} without a unit. Say in the settings of its line what it shows.`,
    );
  const sent = plainFigure(figure[2] ?? '', Number(figure[3] ?? 0), line);
  // With a power of ten, zeros only fill its length.
  const text = figure[3] !== undefined && sent.includes('.') ? sent.replace(/\.?0+$/, '') : sent;
  const below = figure[1] === '-' && /[1-9]/.test(text) ? '-' : '';
  return { entered: `${below}${text} ${unit.name}`, dimension: unit.dimension, lowBattery };
}
