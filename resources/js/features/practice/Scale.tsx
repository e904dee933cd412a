import { isInches, lengthText, MM_PER_INCH, marks } from '../../lib/figures';
import { paint } from '../../theme/paint';

/** What of the scale is seen, in mm: as much as a loupe shows. */
const SEEN_MM = 24;
const WIDE = 600;
const PER_MM = WIDE / SEEN_MM;

/** mm between the line and the scale behind it: by so much it seems to stand elsewhere when it is looked at from the side. */
const GAP_MM = 1.2;

type Mark = { at: number; long: number; says: string | null };

/** A rule under a loupe. The line stays where it is, and the scale runs under it; a mirror behind it shows whether one looks square on. */
export const Scale = ({ mm, eye, resolution }: { mm: number; eye: number; resolution: number }) => {
  const shift = eye * GAP_MM;
  const middle = WIDE / 2;
  const x = (value: number) => middle + (value - mm) * PER_MM;
  return (
    <svg viewBox={`0 0 ${WIDE} 150`} width="100%" role="img" aria-label="The scale at the line" data-scale>
      <rect width={WIDE} height="150" rx="8" fill={paint['paper.tape']} stroke={paint['paper.tapeEdge']} />
      <rect y="112" width={WIDE} height="38" fill={paint['steel.light']} />
      {marksAbout(mm, resolution).map((mark) => (
        <g key={mark.at} data-mark={mark.at}>
          <path d={`M${x(mark.at)} 112V${112 - mark.long}`} stroke={paint.ink} strokeWidth={mark.long > 50 ? 3 : 2} />
          {mark.says !== null && (
            <text x={x(mark.at)} y="42" textAnchor="middle" fontSize="26" fontWeight="700" fill={paint.ink}>
              {mark.says}
            </text>
          )}
        </g>
      ))}
      <path d={`M${middle + shift * PER_MM} 6V132`} stroke={paint.action} strokeWidth="3" data-line />
      <path
        d={`M${middle - shift * PER_MM} 114V150`}
        stroke={paint.action}
        strokeWidth="3"
        opacity="0.45"
        data-mirror
      />
    </svg>
  );
};

/** The marks of the instrument, or of an inch rule for whoever reads in inches. */
const marksAbout = (mm: number, resolution: number): readonly Mark[] => {
  const perInch = isInches() ? (marks() ?? 20) : null;
  const step = perInch === null ? resolution : MM_PER_INCH / perInch;
  const first = Math.max(0, Math.ceil((mm - SEEN_MM / 2) / step));
  const last = Math.floor((mm + SEEN_MM / 2) / step);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, n) => first + n).map((n) =>
    perInch === null ? metric(n, step) : inch(n, perInch),
  );
};

const isWhole = (value: number): boolean => Math.abs(value - Math.round(value)) < 1e-6;

const metric = (n: number, step: number): Mark => {
  const at = n * step;
  if (isWhole(at / 5)) return { at, long: 62, says: String(Math.round(at)) };
  return { at, long: isWhole(at) ? 40 : 24, says: null };
};

const inch = (n: number, perInch: number): Mark => {
  const at = (n * MM_PER_INCH) / perInch;
  if (n % perInch === 0) return { at, long: 66, says: lengthText(at) };
  for (const part of [2, 4, 8, 16])
    if (perInch % part === 0 && n % (perInch / part) === 0)
      return { at, long: 66 - 10 * Math.log2(part), says: part <= 4 ? lengthText(at) : null };
  return { at, long: 20, says: null };
};
