import { Box } from '@chakra-ui/react';
import type { CSSProperties } from 'react';
import { OWN_COLOURS } from '../theme/forced';
import { paint, size as sizeOf } from '../theme/paint';
export const marks = ['found', 'now', 'next', 'left', 'cant_tell', 'tag', 'inside', 'to_do', 'wrong', 'quiet'] as const;
export type MarkKind = (typeof marks)[number];

/** Shapes about a centre, so that a state can be told without its colour. */
const shapes = {
  found: (r: number) => (
    <path d={`M${-r} ${-r * 0.8}H${r}L0 ${r}Z`} fill="none" strokeWidth={r * 0.42} strokeLinejoin="round" />
  ),
  now: (r: number) => <circle r={r * 0.9} stroke="none" fill="currentColor" />,
  next: (r: number) => (
    <path d={`M0 ${-r * 1.1}L${r * 1.1} 0L0 ${r * 1.1}L${-r * 1.1} 0Z`} strokeWidth={r * 0.36} strokeLinejoin="round" />
  ),
  left: (r: number) => (
    <rect x={-r * 0.85} y={-r * 0.85} width={r * 1.7} height={r * 1.7} stroke="none" fill="currentColor" />
  ),
  cant_tell: (r: number) => (
    <>
      <circle r={r * 0.85} fill="none" strokeWidth={r * 0.36} />
      <path d={`M0 ${-r * 0.85}A${r * 0.85} ${r * 0.85} 0 0 0 0 ${r * 0.85}Z`} fill="currentColor" stroke="none" />
    </>
  ),
  tag: (r: number) => (
    <path
      d={`M${-r * 0.42} ${-r}H${r * 0.42}L${r} ${-r * 0.42}V${r * 0.42}L${r * 0.42} ${r}H${-r * 0.42}L${-r} ${r * 0.42}V${-r * 0.42}Z`}
      fill="currentColor"
      stroke="none"
    />
  ),
  inside: (r: number) => (
    <path
      d={`M${-r * 0.8} 0L${-r * 0.2} ${r * 0.65}L${r * 0.9} ${-r * 0.7}`}
      fill="none"
      strokeWidth={r * 0.45}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  ),
  to_do: (r: number) => <circle r={r * 0.85} fill="none" strokeWidth={r * 0.3} />,
  wrong: (r: number) => (
    <path
      d={`M${-r * 0.7} ${-r * 0.7}L${r * 0.7} ${r * 0.7}M${r * 0.7} ${-r * 0.7}L${-r * 0.7} ${r * 0.7}`}
      strokeWidth={r * 0.45}
      strokeLinecap="round"
    />
  ),
  quiet: (r: number) => <path d={`M${-r * 0.7} 0H${r * 0.7}`} strokeWidth={r * 0.4} strokeLinecap="round" />,
} as const satisfies Record<MarkKind, (r: number) => React.ReactNode>;

const colours = {
  found: paint.found,
  now: paint.ink,
  next: paint.action,
  left: paint.inside,
  cant_tell: paint.cantTell,
  tag: paint.stop,
  inside: paint.inside,
  to_do: paint.soft,
  wrong: paint.stop,
  quiet: paint.soft,
} as const satisfies Record<MarkKind, string>;

/** A mark inside another drawing, centred on the origin. */
export const MarkShape = ({ kind, r = 6 }: { kind: MarkKind; r?: number }) => (
  <g color={colours[kind]} stroke="currentColor" fill={kind === 'next' ? paint.sheet : 'none'}>
    {shapes[kind](r)}
  </g>
);

const sizes = { small: sizeOf('3.5'), text: sizeOf('4'), large: sizeOf('5') };

type MarkProps = {
  kind: MarkKind;
  /** As the letters beside it where it is not said. */
  size?: keyof typeof sizes;
  /** Where the mark lies on a dark or red ground. */
  onDark?: boolean;
  style?: CSSProperties;
};

/** A mark beside a word. The word says the state; the mark repeats it. */
export const Mark = ({ kind, size, onDark = false, style }: MarkProps) => {
  const edge = size === undefined ? '1.1em' : sizes[size];
  return (
    <svg
      viewBox="-8 -8 16 16"
      aria-hidden="true"
      style={{
        width: edge,
        height: edge,
        flexShrink: 0,
        overflow: 'visible',
        color: onDark ? paint.onFrame : colours[kind],
        ...style,
      }}
    >
      <g stroke="currentColor" fill="none">
        {shapes[kind](6)}
      </g>
    </svg>
  );
};

/** The disc of a stage: ticked, vivid when current, or its number. */
export const StageDisc = ({ number, state }: { number: number; state: 'done' | 'current' | 'ahead' }) => (
  <Box
    css={OWN_COLOURS}
    display="grid"
    placeItems="center"
    boxSize="6.5"
    borderRadius="full"
    flexShrink="0"
    fontWeight="bold"
    fontSize="sm"
    borderWidth="thick"
    borderColor={state === 'done' ? 'inside' : state === 'current' ? 'action' : 'ink'}
    bg={state === 'done' ? 'inside' : state === 'current' ? 'action' : 'sheet'}
    color={state === 'ahead' ? 'ink' : 'white'}
    aria-hidden="true"
  >
    {state === 'done' ? <Mark kind="inside" size="small" onDark /> : number}
  </Box>
);
