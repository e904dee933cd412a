import { Box } from '@chakra-ui/react';
import type { MachineControl, PastJob, WearStory } from '../../api/machines';
import { MarkShape } from '../../components/Marks';
import { counted, shortLength } from '../../lib/figures';
import { ticks } from '../../lib/ticks';
import { useWidth } from '../../lib/useWidth';
import { paint } from '../../theme/paint';

const HEIGHT = 236;
const MARGIN = { left: 58, right: 26, top: 26, bottom: 34 };

type Scale = { x: (usage: number) => number; y: (play: number) => number; width: number };

/** Found and left of every closed job against the meter, how it wears between, and when it will want looking at. */
export const WearChart = ({ control, usageUnit }: { control: MachineControl; usageUnit: string }) => {
  const [box, width] = useWidth<HTMLDivElement>(640);
  const jobs = control.history.filter((job) => job.left_mm !== null || job.found_mm !== null).reverse();
  const [oldest] = jobs;
  if (oldest === undefined) return null;
  const story = control.story;
  const { low_mm: low, high_mm: high } = control.band;
  const ahead = story?.ahead ?? null;
  const next = story?.next?.usage ?? null;
  const newest = jobs.reduce((most, job) => Math.max(most, job.usage), oldest.usage);
  // What is foretold is shown as far as it goes, but never squeezes the past into a corner.
  const furthest = newest + 1.5 * Math.max(newest - oldest.usage, (next ?? newest) - newest);
  const last = Math.max(newest, next ?? 0, Math.min(furthest, ahead?.bound_usage ?? 0));
  const plays = jobs.flatMap((job) => [job.found_mm, job.left_mm]).filter((value): value is number => value !== null);
  const most = Math.max(...plays, (high ?? low ?? 1) * 1.08) * 1.06;
  const inner = width - MARGIN.left - MARGIN.right;
  const span = Math.max(1, last - oldest.usage);
  const at: Scale = {
    width,
    x: (usage) => MARGIN.left + 16 + ((inner - 32) * (usage - oldest.usage)) / span,
    y: (play) => HEIGHT - MARGIN.bottom - ((HEIGHT - MARGIN.top - MARGIN.bottom) * play) / most,
  };
  return (
    <Box ref={box} role="img" aria-label={`Found and left over ${jobs.length} jobs. ${story?.heading ?? ''}`}>
      <svg width={width} height={HEIGHT} aria-hidden="true">
        <Band low={low} high={high} most={most} at={at} />
        {ticks(oldest.usage, last).map((usage) => (
          <g key={usage}>
            <path d={`M${at.x(usage)} ${HEIGHT - MARGIN.bottom}v6`} stroke={paint.soft} />
            <text x={at.x(usage)} y={HEIGHT - 10} textAnchor="middle" fontSize="13" fill={paint.soft}>
              {counted(usage)}
            </text>
          </g>
        ))}
        {ahead !== null && <Ahead ahead={ahead} last={last} at={at} />}
        <Intervals jobs={jobs} story={story} at={at} />
        <Looks jobs={jobs} at={at} />
        {next !== null && <NextCheck usage={next} unit={usageUnit} last={jobs[jobs.length - 1]} at={at} />}
      </svg>
    </Box>
  );
};

const Band = ({ low, high, most, at }: { low: number | null; high: number | null; most: number; at: Scale }) => {
  const top = at.y(high ?? most);
  const right = at.width - MARGIN.right;
  return (
    <>
      <rect
        x={MARGIN.left}
        y={top}
        width={right - MARGIN.left}
        height={at.y(low ?? 0) - top}
        fill={paint['petrol.pale']}
      />
      {[low, high].map(
        (edge) =>
          edge !== null && (
            <g key={edge}>
              <path d={`M${MARGIN.left} ${at.y(edge)}H${right}`} stroke={paint.inside} strokeWidth="2" />
              <text
                x={MARGIN.left - 8}
                y={at.y(edge) + 5}
                textAnchor="end"
                fontSize="14"
                fontWeight="bold"
                fill={paint['petrol.text']}
              >
                {shortLength(edge)}
              </text>
            </g>
          ),
      )}
    </>
  );
};

/** How play goes on from what was left, and the wedge within which its edge is reached. */
const Ahead = ({ ahead, last, at }: { ahead: NonNullable<WearStory['ahead']>; last: number; at: Scale }) => {
  const { from_usage: from, from_mm: mm, per_use_mm: rate, limit_mm: limit, bound_usage: bound } = ahead;
  const until = Math.min(ahead.expected_usage ?? bound, last);
  const edge = Math.min(bound, last);
  const towards = bound > from ? (limit - mm) / (bound - from) : 0;
  const start = `M${at.x(from)} ${at.y(mm)}`;
  return (
    <>
      <path
        d={`${start}L${at.x(edge)} ${at.y(mm + towards * (edge - from))}L${at.x(until)} ${at.y(mm + rate * (until - from))}Z`}
        fill={paint.ink}
        opacity="0.12"
      />
      <path
        d={`${start}L${at.x(until)} ${at.y(mm + rate * (until - from))}`}
        stroke={paint.ink}
        strokeWidth="1.8"
        strokeDasharray="6 4"
        fill="none"
      />
    </>
  );
};

const Intervals = ({ jobs, story, at }: { jobs: PastJob[]; story: WearStory | null; at: Scale }) => (
  <>
    {jobs.map((job, n) => {
      const next = jobs[n + 1];
      const kind = story?.intervals.find((one) => one.from === job.job)?.kind ?? 'wear';
      const jumps = kind === 'jump';
      return (
        <g key={job.job}>
          {job.found_mm !== null && job.left_mm !== null && (
            <path
              d={`M${at.x(job.usage)} ${at.y(job.found_mm)}V${at.y(job.left_mm)}`}
              stroke={paint.action}
              strokeWidth="2"
              strokeDasharray="3 3"
            />
          )}
          {next !== undefined && job.left_mm !== null && next.found_mm !== null && (
            <path
              d={`M${at.x(job.usage)} ${at.y(job.left_mm)}L${at.x(next.usage)} ${at.y(next.found_mm)}`}
              stroke={jumps ? paint.found : paint.ink}
              strokeWidth={jumps ? 2.6 : 1.6}
              strokeDasharray={kind === 'bedding_in' || kind === 'not_comparable' ? '2 4' : undefined}
            />
          )}
          {jumps && next !== undefined && next.found_mm !== null && (
            <text
              x={at.x(next.usage) + (at.x(next.usage) > at.width / 2 ? -14 : 14)}
              y={at.y(next.found_mm) - 8}
              textAnchor={at.x(next.usage) > at.width / 2 ? 'end' : 'start'}
              fontSize="14"
              fontWeight="bold"
              fill={paint.ink}
            >
              jump: no wear does that
            </text>
          )}
          {job.parts.length > 0 && (
            <g>
              <path
                d={`M${at.x(job.usage)} ${MARGIN.top}V${HEIGHT - MARGIN.bottom}`}
                stroke={paint['steel.mid']}
                strokeDasharray="1 4"
                strokeWidth="2"
              />
              <text x={at.x(job.usage)} y={MARGIN.top - 8} textAnchor="middle" fontSize="13" fill={paint.ink}>
                new {job.parts.join(', ')}
              </text>
            </g>
          )}
        </g>
      );
    })}
  </>
);

const Looks = ({ jobs, at }: { jobs: PastJob[]; at: Scale }) => (
  <>
    {jobs.map((job) => (
      <g key={job.job}>
        {job.found_mm !== null && (
          <g transform={`translate(${at.x(job.usage)} ${at.y(job.found_mm)})`}>
            <MarkShape kind="found" r={7} />
          </g>
        )}
        {job.left_mm !== null && (
          <g transform={`translate(${at.x(job.usage)} ${at.y(job.left_mm)})`}>
            <MarkShape kind="left" r={6} />
          </g>
        )}
      </g>
    ))}
  </>
);

type NextCheckProps = { usage: number; unit: string; last: PastJob | undefined; at: Scale };

const NextCheck = ({ usage, unit, last, at }: NextCheckProps) => {
  const x = at.x(Math.max(usage, last?.usage ?? usage));
  return (
    <g>
      <path d={`M${x} ${MARGIN.top - 6}V${HEIGHT - MARGIN.bottom}`} stroke={paint.action} strokeWidth="2.4" />
      <circle cx={x} cy={HEIGHT - MARGIN.bottom} r="5.5" fill={paint.action} />
      <text x={x + 6} y={MARGIN.top - 10} textAnchor="end" fontSize="14" fontWeight="bold" fill={paint.ink}>
        next check {counted(usage)} {unit}
      </text>
    </g>
  );
};
