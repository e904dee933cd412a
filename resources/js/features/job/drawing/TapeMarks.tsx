import type { Band as SpecBand } from '../../../api/contract';
import type { Judged } from '../../../api/jobs';
import { MarkShape } from '../../../components/Marks';
import { bandText, isInches, lengthText, MM_PER_INCH, marks, shortLength } from '../../../lib/figures';
import { paint } from '../../../theme/paint';
import { useBench } from '../useBench';
import { foundLabel, type Label, nextLabel, nowLabel, straightLabel } from './tapeLabels';

const TOP = 26;
const BAND_HEIGHT = 46;
export const HEIGHT = TOP + BAND_HEIGHT + 28;
export const EDGE = 14;

/** From millimetres to drawing units along the tape. */
type Place = (value: number) => number;

export type Prediction = { mm: number; low_mm: number | null; high_mm: number | null; word: 'next' | 'expected' };

/** As a rule is marked in inches: what is between two marks, and between two figures, up to so many inches. */
const INCHES = [
  { most: 0.2, small: 1 / 64, large: 1 / 16 },
  { most: 0.5, small: 1 / 32, large: 1 / 8 },
  { most: 1.6, small: 1 / 16, large: 1 / 4 },
  { most: 4, small: 1 / 8, large: 1 / 2 },
  { most: Number.POSITIVE_INFINITY, small: 1 / 4, large: 1 },
] as const;

const DECIMALS = [
  { most: 0.2, small: 0.01, large: 0.05 },
  { most: 0.5, small: 0.02, large: 0.1 },
  { most: 1.6, small: 0.05, large: 0.2 },
  { most: 4, small: 0.1, large: 0.5 },
  { most: Number.POSITIVE_INFINITY, small: 0.5, large: 1 },
] as const;

/** Ticks a person can count, in mm: ones, twos or fives, or the marks of an inch, with a figure at every fifth or so. */
export function ticks(most: number): { small: number; large: number } {
  if (isInches()) {
    const { small, large } =
      (marks() === null ? DECIMALS : INCHES).find((one) => most / MM_PER_INCH <= one.most) ?? DECIMALS[4];
    return { small: small * MM_PER_INCH, large: large * MM_PER_INCH };
  }
  if (most <= 4) return { small: 0.2, large: 1 };
  if (most <= 12) return { small: 0.5, large: 1 };
  if (most <= 40) return { small: 1, large: 5 };
  return { small: 5, large: 20 };
}

const steps = (step: number, most: number) =>
  Array.from({ length: Math.floor(most / step + 1e-9) + 1 }, (_, n) => n * step);

export const Scale = ({ x, most }: { x: Place; most: number }) => {
  const { small, large } = ticks(most);
  const isLong = (value: number) => Math.abs(value / large - Math.round(value / large)) < 1e-6;
  const ticksAt = (long: boolean, length: number) =>
    steps(small, most)
      .filter((value) => isLong(value) === long)
      .map((value) => `M${x(value)} ${TOP + BAND_HEIGHT}v${-length}`)
      .join('');
  return (
    <g>
      <path d={ticksAt(false, 9)} stroke={paint.ink} opacity={0.55} />
      <path d={ticksAt(true, 17)} stroke={paint.ink} strokeWidth={1.6} />
      {steps(large, most).map((value) => (
        <text key={value} x={x(value)} y={HEIGHT - 8} textAnchor="middle" fontSize="14" fill={paint.ink}>
          {shortLength(value)}
        </text>
      ))}
    </g>
  );
};

type BandProps = { from: number; to: number; band: SpecBand; label: Label };

export const Band = ({ from, to, band, label }: BandProps) => (
  <g>
    <rect x={from} y={TOP} width={Math.max(0, to - from)} height={BAND_HEIGHT} fill={paint['petrol.wash']} />
    <Hatch from={from} to={to} />
    {band.low_mm !== null && <Edge at={from} />}
    {band.high_mm !== null && <Edge at={to} />}
    <text
      x={label.at}
      y={TOP - 9}
      textAnchor={label.anchor}
      fontSize="14"
      fontWeight="bold"
      fill={paint['petrol.text']}
    >
      spec {bandText(band)}
    </text>
  </g>
);

const Edge = ({ at }: { at: number }) => (
  <path d={`M${at} ${TOP - 5}V${TOP + BAND_HEIGHT + 5}`} stroke={paint.inside} strokeWidth="3" />
);

export const TornTape = ({ width }: { width: number }) => {
  const teeth = [0, 0.18, 0.36, 0.55, 0.74, 0.9, 1].map(
    (share, n) => [n % 2 === 0 ? 0 : 4, TOP + share * BAND_HEIGHT] as const,
  );
  const left = teeth.map(([dx, y]) => `${2 + dx} ${y}`);
  const right = [...teeth].reverse().map(([dx, y]) => `${width - 2 - dx} ${y}`);
  return (
    <path d={`M${left.join('L')}L${right.join('L')}Z`} fill={paint['paper.tape']} stroke={paint['paper.tapeEdge']} />
  );
};

const Hatch = ({ from, to }: { from: number; to: number }) => {
  const lines = [];
  for (let x = from - BAND_HEIGHT; x < to; x += 11) {
    const [x1, x2] = [Math.max(from, x), Math.min(to, x + BAND_HEIGHT)];
    if (x2 > x1) lines.push(`M${x1} ${TOP + BAND_HEIGHT - (x1 - x)}L${x2} ${TOP + BAND_HEIGHT - (x2 - x)}`);
  }
  return <path d={lines.join('')} stroke={paint.inside} strokeWidth="1" opacity="0.28" />;
};

type WorkingBandProps = { x: Place; spec: Label; found: number | null; width: number };

/** The part of the band that the straight pose must keep, so that every pose stays inside. */
export const WorkingBand = ({ x, spec, found, width }: WorkingBandProps) => {
  const { state } = useBench();
  const working = state.working_band;
  const { band } = state.spec;
  if (working === null || (working.low_mm === band.low_mm && working.high_mm === band.high_mm)) return null;
  const from = x(working.low_mm ?? 0);
  const to = working.high_mm === null ? x(band.high_mm ?? 0) : x(working.high_mm);
  const label = straightLabel(to, spec, found, width);
  return (
    <g>
      <path
        d={`M${from} ${TOP + 3}v6M${to} ${TOP + 3}v6M${from} ${TOP + 6}H${to}`}
        stroke={paint['petrol.text']}
        strokeWidth="2"
        fill="none"
      />
      {label !== null && (
        <text x={label.at} y={TOP - 9} fontSize="13" textAnchor={label.anchor} fill={paint['petrol.text']}>
          straight {lengthText(working.low_mm ?? 0)}–{lengthText(working.high_mm ?? 0)}
        </text>
      )}
    </g>
  );
};

type FoundProps = { at: number; judged: Judged; x: Place; width: number };

export const Found = ({ at, judged, x, width }: FoundProps) => (
  <g data-tape="found">
    <Spread judged={judged} x={x} y={TOP + 12} fill={paint.found} />
    <g transform={`translate(${at} ${TOP + 12})`}>
      <MarkShape kind="found" r={7} />
    </g>
    <text
      x={foundLabel(at, width).at}
      y={TOP - 9}
      textAnchor={foundLabel(at, width).anchor}
      fontSize="14"
      fontWeight="bold"
      fill={paint.ink}
    >
      found {lengthText(judged.mm ?? 0)}
    </text>
  </g>
);

type NowProps = { judged: Judged; mm: number; x: Place; next: number | null; width: number };

export const Now = ({ judged, mm: value, x, next, width }: NowProps) => {
  const { at, anchor } = nowLabel(x(value), next, width);
  return (
    <g data-tape="now">
      <Spread judged={judged} x={x} y={TOP + 24} fill={paint.ink} />
      <g transform={`translate(${x(value)} ${TOP + 24})`}>
        <MarkShape kind="now" r={7} />
      </g>
      <Words x={at} y={TOP + 29} anchor={anchor}>
        now {lengthText(value)}
      </Words>
    </g>
  );
};

const Spread = ({ judged, x, y, fill }: { judged: Judged; x: Place; y: number; fill: string }) => {
  if (judged.mm === null || judged.expanded_mm === null) return null;
  const from = x(Math.max(0, judged.mm - judged.expanded_mm));
  return (
    <rect x={from} y={y - 5} width={x(judged.mm + judged.expanded_mm) - from} height="10" fill={fill} opacity="0.25" />
  );
};

type WordsProps = { x: number; y: number; anchor: 'start' | 'middle' | 'end'; children: React.ReactNode };

const Words = ({ x, y, anchor, children }: WordsProps) => (
  <text
    x={x}
    y={y}
    textAnchor={anchor}
    fontSize="14"
    fontWeight="bold"
    fill={paint.ink}
    stroke={paint.sheet}
    strokeWidth="3"
    paintOrder="stroke"
  >
    {children}
  </text>
);

type PredictedProps = {
  x: Place;
  next: Prediction;
  found: number | null;
  now: number | null;
  bandFrom: number;
  width: number;
};

export const Predicted = ({ x, next, found, now, bandFrom, width }: PredictedProps) => {
  const at = x(next.mm);
  const y = TOP + 24;
  const from = Math.min(at - 12, next.low_mm === null ? at : x(next.low_mm) - 7);
  const to = Math.max(at + 12, next.high_mm === null ? at : x(next.high_mm) + 7);
  const label = nextLabel({ word: next.word, from, to }, { found, now }, bandFrom, width);
  return (
    <g data-tape="next">
      {next.low_mm !== null && next.high_mm !== null && (
        <path
          d={`M${x(next.low_mm)} ${y}H${x(next.high_mm)}M${x(next.low_mm)} ${y - 4}v8M${x(next.high_mm)} ${y - 4}v8`}
          stroke={paint.action}
          strokeWidth="2"
          fill="none"
        />
      )}
      <g transform={`translate(${at} ${y})`}>
        <MarkShape kind="next" r={8} />
      </g>
      <Words x={label.at} y={y + 5} anchor={label.anchor}>
        {next.word} {lengthText(next.mm)}
      </Words>
    </g>
  );
};
