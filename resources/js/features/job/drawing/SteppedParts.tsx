import type { Adjuster } from '../../../api/jobs';
import { paint } from '../../../theme/paint';
import type { PartProps } from './AdjusterDrawing';

/** Where along the part it stands, in drawing units; the middle, with a question mark, where nobody looked yet. */
function standsAt({ adjuster, start, length }: PartProps): number {
  return start + (adjuster.at_mm === null ? 0.5 : adjuster.at_mm / Math.max(0.001, adjuster.travel_mm)) * length;
}

function ghostAt(props: PartProps): number | null {
  const { adjuster, ghost, length } = props;
  if (ghost === null || adjuster.at_mm === null) return null;
  const full = adjuster.travel_mm * 3;
  return standsAt(props) + (ghost * length) / Math.max(0.001, full);
}

const Ghost = ({ at, height }: { at: number | null; height: number }) =>
  at === null ? null : (
    <path d={`M${at} ${-height}v${2 * height}`} stroke={paint.action} strokeWidth="2.5" strokeDasharray="4 2" />
  );

const Unknown = ({ adjuster, x }: { adjuster: Adjuster; x: number }) =>
  adjuster.at_mm === null ? (
    <text x={x} y="-17" textAnchor="middle" fontSize="13" fontWeight="bold" fill={paint.ink}>
      ?
    </text>
  ) : null;

/** The toothed conduit lying in its clamp: every rung is drawn, the clamp's bolt sits on the one it holds. */
const RungClamp = (props: PartProps) => {
  const { adjuster, start, length } = props;
  const rungs = Math.max(1, adjuster.places.length - 1);
  const at = standsAt(props);
  const teeth = Array.from({ length: rungs + 1 }, (_, n) => `M${start + (n * length) / rungs} -9v-6h3v6`).join('');
  return (
    <g stroke="currentColor" strokeWidth="1.2">
      <rect x="0" y="-9" width={start + length + 12} height="18" rx="4" fill={paint['graphite.edge']} />
      <path d={teeth} fill={paint['steel.mid']} data-places={adjuster.places.length} />
      <rect x={at - 10} y="-21" width="20" height="42" rx="4" fill={paint['steel.light']} opacity="0.92" />
      <circle cx={at} cy="0" r="6.5" fill={paint['steel.dark']} />
      <path d={`M${at - 4} 0h8`} stroke={paint.sheet} strokeWidth="2" />
      <Ghost at={ghostAt(props)} height={24} />
      <Unknown adjuster={adjuster} x={at} />
    </g>
  );
};

/** A plate with its slot to scale and the bolt where it stands. */
const SlottedBracket = (props: PartProps) => {
  const { adjuster, start, length } = props;
  const at = standsAt(props);
  return (
    <g stroke="currentColor" strokeWidth="1.2">
      <rect x="0" y="-19" width={start + length + 14} height="38" rx="4" fill={paint['steel.mid']} />
      <rect x={start - 6} y="-6" width={length + 12} height="12" rx="6" fill={paint.sheet} />
      <circle cx={at} cy="0" r="11" fill={paint['steel.light']} />
      <path d={`M${at - 6} -3l6 -4l6 4v6l-6 4l-6 -4Z`} fill={paint['steel.dark']} />
      <Ghost at={ghostAt(props)} height={20} />
      <Unknown adjuster={adjuster} x={at} />
    </g>
  );
};

/** The wire through its clamp, with the tail that was pulled through to scale. */
const PinchClamp = (props: PartProps) => {
  const { adjuster, start, length } = props;
  const tail = standsAt(props);
  return (
    <g stroke="currentColor" strokeWidth="1.2">
      <path d={`M0 0H${tail}`} stroke={paint.action} strokeWidth="3" />
      <path d={`M${start} 12h${length}`} stroke={paint['steel.mid']} strokeWidth="2" />
      <rect x="4" y="-16" width="24" height="32" rx="4" fill={paint['steel.light']} />
      <circle cx="16" cy="0" r="8" fill={paint['steel.mid']} />
      <path d="M10 -4l12 8M10 4l12 -8" stroke={paint.ink} strokeWidth="1.6" />
      <path d={`M${tail} -5v10`} stroke={paint.ink} strokeWidth="2.5" />
      <Ghost at={ghostAt(props)} height={12} />
      <Unknown adjuster={adjuster} x={tail} />
    </g>
  );
};

/** The plate with its row of holes, spaced to scale; the hook sits in the one that is used. */
const HookHoles = (props: PartProps) => {
  const { adjuster, start, length } = props;
  const holes = Math.max(1, adjuster.places.length - 1);
  const at = standsAt(props);
  return (
    <g stroke="currentColor" strokeWidth="1.2">
      <rect x="0" y="-4" width={start + length + 12} height="24" rx="5" fill={paint['steel.mid']} />
      {adjuster.places.map((place, n) => (
        <circle key={place} cx={start + (n * length) / holes} cy="8" r="4.5" fill={paint.sheet} />
      ))}
      <path
        d={`M${at - 26} -16H${at - 6}Q${at} -16 ${at} -8V12q0 6 6 6`}
        fill="none"
        stroke={paint.action}
        strokeWidth="3.5"
        strokeLinecap="round"
      />
      <Ghost at={ghostAt(props)} height={22} />
      <Unknown adjuster={adjuster} x={at + 10} />
    </g>
  );
};

/** An eccentric disc: the slot of its screw stands at the angle it is turned to. */
const CamScrew = ({ adjuster, ghost }: PartProps) => {
  const share = adjuster.at_mm === null ? 0.5 : adjuster.at_mm / Math.max(0.001, adjuster.travel_mm);
  const angle = -360 * share;
  const more = ghost === null || adjuster.travel_mm === 0 ? 0 : (-360 * ghost) / (3 * adjuster.travel_mm);
  return (
    <g stroke="currentColor" strokeWidth="1.2" transform="translate(38 0)">
      <path d="M-38 0H-22" stroke={paint.action} strokeWidth="3" />
      <g transform={`rotate(${angle})`}>
        <ellipse cx="4" cy="0" rx="25" ry="22" fill={paint['steel.light']} />
        <circle r="12" fill={paint['steel.dark']} />
        <path d="M-8 0H8" stroke={paint.sheet} strokeWidth="3.5" />
        <circle cx="23" cy="0" r="2.5" fill={paint.ink} />
      </g>
      {ghost !== null && (
        <path
          d="M-17 0H17"
          stroke={paint.action}
          strokeWidth="2.5"
          strokeDasharray="4 2"
          transform={`rotate(${angle + more})`}
        />
      )}
      {adjuster.at_mm === null && (
        <text y="-24" textAnchor="middle" fontSize="13" fontWeight="bold" fill={paint.ink} stroke="none">
          ?
        </text>
      )}
    </g>
  );
};

export const SteppedParts = {
  cam_screw: CamScrew,
  rung_clamp: RungClamp,
  slotted_bracket: SlottedBracket,
  pinch_clamp: PinchClamp,
  hook_holes: HookHoles,
} as const;
