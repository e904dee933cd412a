import { chakra } from '@chakra-ui/react';
import type { InstrumentKind } from '../../api/shelf';
import { paint } from '../../theme/paint';

/** A piece of the instrument with its own marks, so that a coarse one looks coarse. */
export const Scale = ({ kind, step }: { kind: InstrumentKind; step: number }) => (
  <chakra.svg viewBox="0 0 140 44" width="34" aria-hidden="true">
    {kind === 'feeler' ? (
      <Feeler />
    ) : kind === 'coin' ? (
      <Coin />
    ) : kind === 'indicator' || kind === 'force_gauge' ? (
      <Dial pulls={kind === 'force_gauge'} />
    ) : (
      <Marked kind={kind} step={step} />
    )}
  </chakra.svg>
);

const PER_MM = 12;

const Marked = ({ kind, step }: { kind: InstrumentKind; step: number }) => {
  const apart = Math.max(2.4, step * PER_MM);
  const marks = Array.from({ length: Math.floor(120 / apart) + 1 }, (_, n) => {
    const whole = Math.abs((n * apart) / PER_MM - Math.round((n * apart) / PER_MM)) < 0.01;
    return `M${10 + n * apart} 8v${whole ? 14 : 8}`;
  }).join('');
  return (
    <>
      <rect
        x="4"
        y="8"
        width="132"
        height="26"
        rx={kind === 'tape_marks' ? 0 : 3}
        fill={kind === 'tape_marks' ? paint['paper.tape'] : paint['steel.light']}
        stroke={paint.ink}
      />
      <path d={marks} stroke={paint.ink} strokeWidth="1" />
      {kind === 'caliper' && (
        <path
          d="M4 34V42H18L24 34M70 34V42H56L50 34"
          fill={paint['steel.mid']}
          stroke={paint.ink}
          strokeLinejoin="round"
        />
      )}
    </>
  );
};

const Feeler = () => (
  <>
    {[-8, -3, 2, 7].map((turn) => (
      <rect
        key={turn}
        x="18"
        y="18"
        width="112"
        height="9"
        rx="4"
        fill={paint['steel.light']}
        stroke={paint.ink}
        transform={`rotate(${turn} 22 22)`}
      />
    ))}
    <circle cx="22" cy="22" r="5" fill={paint['steel.dark']} />
  </>
);

const Coin = () => (
  <>
    <ellipse cx="70" cy="22" rx="40" ry="16" fill={paint['yellow.tag']} stroke={paint.ink} />
    <path d="M30 22v5a40 16 0 0 0 80 0v-5" fill="none" stroke={paint.ink} />
  </>
);

/** A dial: an indicator's plunger goes down from it, a force gauge's hook. */
const Dial = ({ pulls }: { pulls: boolean }) => (
  <>
    <path
      d={pulls ? 'M88 22H116M116 22a6 6 0 1 1 6 6' : 'M88 22H128M128 18V26'}
      fill="none"
      stroke={paint.ink}
      strokeWidth="3"
      strokeLinecap="round"
    />
    <circle cx="68" cy="22" r="20" fill={paint['steel.light']} stroke={paint.ink} />
    <path
      d={Array.from({ length: 10 }, (_, n) => {
        const angle = (n * Math.PI) / 5;
        const [x, y] = [Math.cos(angle), Math.sin(angle)];
        return `M${68 + 15 * x} ${22 + 15 * y}L${68 + 18 * x} ${22 + 18 * y}`;
      }).join('')}
      stroke={paint.ink}
    />
    <path d="M68 22L78 12" stroke={paint.ink} strokeWidth="2" strokeLinecap="round" />
    <circle cx="68" cy="22" r="2.5" fill={paint['steel.dark']} />
  </>
);
