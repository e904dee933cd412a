import { chakra } from '@chakra-ui/react';
import type { PointKey } from '../../../api/jobs';
import { paint } from '../../../theme/paint';

const Bar = () => <rect x="8" y="14" width="96" height="15" rx="7" fill={paint['steel.dark']} />;
const Rule = ({ x, y, turn = 0 }: { x: number; y: number; turn?: number }) => (
  <g transform={`translate(${x} ${y}) rotate(${turn})`}>
    <rect width="58" height="13" fill={paint['paper.tape']} stroke={paint.ink} strokeWidth="1" />
    <path d="M6 0v6M12 0v4M18 0v6M24 0v4M30 0v6M36 0v4M42 0v6M48 0v4" stroke={paint.ink} strokeWidth="1" />
  </g>
);

const LeverTip = () => (
  <>
    <Bar />
    <path d="M106 34Q60 40 22 62" stroke={paint['steel.mid']} strokeWidth="8" strokeLinecap="round" fill="none" />
    <path d="M106 34Q60 36 20 50" stroke={paint.action} strokeWidth="2" strokeDasharray="3 3" fill="none" />
    <Rule x={18} y={24} turn={90} />
    <path d="M26 52V64" stroke={paint.action} strokeWidth="3" />
    <circle cx="108" cy="28" r="11" fill={paint['steel.dark']} />
  </>
);

const PerchGap = () => (
  <>
    <rect x="60" y="10" width="52" height="34" rx="6" fill={paint['steel.dark']} />
    <path d="M54 12L46 44" stroke={paint['steel.mid']} strokeWidth="12" strokeLinecap="round" />
    <path d="M47 50L8 70" stroke={paint['steel.mid']} strokeWidth="9" strokeLinecap="round" />
    <path d="M57 22V48M62 22V48" stroke={paint.action} strokeWidth="2" />
    <path d="M46 58H56M73 58H63" stroke={paint.action} strokeWidth="2" />
    <path d="M57 52V66M62 52V66" stroke={paint.action} strokeWidth="2" />
  </>
);

const GripFlange = () => (
  <>
    <circle cx="60" cy="40" r="30" fill={paint['steel.light']} stroke={paint.ink} />
    <circle cx="60" cy="40" r="17" fill={paint['steel.dark']} />
    <path d="M36 12A36 36 0 0 1 60 4" stroke={paint.action} strokeWidth="4" fill="none" />
    <path d="M40 18L33 8M60 10V-1" stroke={paint.action} strokeWidth="2" />
    <rect x="92" y="10" width="22" height="9" fill={paint['paper.tape']} stroke={paint.ink} />
  </>
);

/** The same flange turned on past rest, the other way. */
const GripBackward = () => (
  <g transform="translate(120 0) scale(-1 1)">
    <GripFlange />
  </g>
);

const FerruleGap = () => (
  <>
    <rect x="6" y="24" width="34" height="30" rx="4" fill={paint['steel.dark']} />
    <path d="M40 39H66" stroke={paint.action} strokeWidth="3" />
    <rect x="66" y="30" width="20" height="18" rx="3" fill={paint['steel.mid']} />
    <path d="M86 39H118" stroke={paint['graphite.ink']} strokeWidth="10" />
    <path d="M41 18V62M65 18V62M47 14H59" stroke={paint.action} strokeWidth="2" />
  </>
);

const Arm = () => (
  <>
    <path d="M14 20H56" stroke={paint.action} strokeWidth="3" />
    <path d="M58 20L72 66" stroke={paint['steel.mid']} strokeWidth="9" strokeLinecap="round" />
    <path d="M44 10A20 20 0 0 1 74 12" stroke={paint.action} strokeWidth="3" fill="none" />
    <circle cx="73" cy="68" r="9" fill={paint['steel.dark']} />
  </>
);

/** The wire lifted off its drum at the carburettor: the slack is what it rises by. */
const CarburettorBarrel = () => (
  <>
    <circle cx="74" cy="50" r="24" fill={paint['steel.light']} stroke={paint.ink} />
    <circle cx="74" cy="50" r="6" fill={paint['steel.dark']} />
    <path d="M6 22H60Q66 22 70 26" stroke={paint['steel.mid']} strokeWidth="3" fill="none" strokeDasharray="3 3" />
    <path d="M6 22Q36 8 62 10L71 25" stroke={paint.action} strokeWidth="3" fill="none" />
    <circle cx="73" cy="27" r="5" fill={paint.ink} />
    <path d="M40 9V22M34 9H46M34 22H46" stroke={paint.action} strokeWidth="2" />
  </>
);

/** A rule beside the handle: from rest to the first resistance. */
const HandleTravel = () => (
  <>
    <path d="M16 68V24Q16 10 30 10H76" stroke={paint['steel.dark']} strokeWidth="9" fill="none" />
    <path d="M30 68V44Q30 36 40 36H80" stroke={paint['steel.mid']} strokeWidth="7" fill="none" />
    <path d="M40 24H80" stroke={paint.action} strokeWidth="2" strokeDasharray="3 3" />
    <Rule x={100} y={14} turn={90} />
    <path d="M84 24V36M80 24H90M80 36H90" stroke={paint.action} strokeWidth="3" />
  </>
);

const drawings = {
  lever_tip: LeverTip,
  perch_gap: PerchGap,
  ferrule_gap: FerruleGap,
  release_arm: Arm,
  grip_flange: GripFlange,
  grip_backward: GripBackward,
  carburettor_barrel: CarburettorBarrel,
  handle_travel: HandleTravel,
} as const satisfies Record<PointKey, () => React.ReactNode>;

/** Where the figure is read: the measured distance is the vivid part. */
export const HowToRead = ({ point }: { point: PointKey }) => {
  const Drawing = drawings[point];
  return (
    <chakra.svg viewBox="0 -4 120 84" width="27" flexShrink="0" aria-hidden="true" bg="well" borderRadius="md">
      <Drawing />
    </chakra.svg>
  );
};
