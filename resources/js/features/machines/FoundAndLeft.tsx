import { Box } from '@chakra-ui/react';
import type { MachineControl } from '../../api/machines';
import { MarkShape } from '../../components/Marks';
import { counted, trimmed } from '../../lib/figures';
import { useWidth } from '../../lib/useWidth';
import { paint } from '../../theme/paint';

const HEIGHT = 190;
const MARGIN = { left: 44, right: 20, top: 14, bottom: 30 };

/** Found and left of every closed job against the meter, with the band behind them. */
export const FoundAndLeft = ({ control }: { control: MachineControl }) => {
  const [box, width] = useWidth<HTMLDivElement>(640);
  const jobs = control.history.filter((job) => job.left_mm !== null || job.found_mm !== null).reverse();
  if (jobs.length < 2) return null;
  const { low_mm: low, high_mm: high } = control.band;
  const plays = jobs.flatMap((job) => [job.found_mm, job.left_mm]).filter((value): value is number => value !== null);
  const most = Math.max(...plays, (high ?? low ?? 1) * 1.15);
  const usages = jobs.map((job) => job.usage);
  const [first, last] = [Math.min(...usages), Math.max(...usages)];
  const x = (usage: number) =>
    MARGIN.left + 14 + ((width - MARGIN.left - MARGIN.right - 28) * (usage - first)) / Math.max(1, last - first);
  const y = (play: number) => HEIGHT - MARGIN.bottom - ((HEIGHT - MARGIN.top - MARGIN.bottom) * play) / most;
  const top = y(high ?? most);
  return (
    <Box ref={box} role="img" aria-label={`Found and left over ${jobs.length} jobs`}>
      <svg width={width} height={HEIGHT} aria-hidden="true">
        <rect
          x={MARGIN.left}
          y={top}
          width={width - MARGIN.left - MARGIN.right}
          height={y(low ?? 0) - top}
          fill={paint['petrol.pale']}
        />
        {[low, high].map(
          (edge) =>
            edge !== null && (
              <g key={edge}>
                <path d={`M${MARGIN.left} ${y(edge)}H${width - MARGIN.right}`} stroke={paint.inside} strokeWidth="2" />
                <text
                  x={MARGIN.left - 8}
                  y={y(edge) + 5}
                  textAnchor="end"
                  fontSize="14"
                  fontWeight="bold"
                  fill={paint['petrol.text']}
                >
                  {trimmed(edge)}
                </text>
              </g>
            ),
        )}
        {jobs.map((job, n) => {
          const next = jobs[n + 1];
          return (
            <g key={job.job}>
              {job.found_mm !== null && job.left_mm !== null && (
                <path
                  d={`M${x(job.usage)} ${y(job.found_mm)}V${y(job.left_mm)}`}
                  stroke={paint.action}
                  strokeWidth="2"
                  strokeDasharray="3 3"
                />
              )}
              {next !== undefined && job.left_mm !== null && next.found_mm !== null && (
                <path
                  d={`M${x(job.usage)} ${y(job.left_mm)}L${x(next.usage)} ${y(next.found_mm)}`}
                  stroke={paint.ink}
                  strokeWidth="1.6"
                />
              )}
            </g>
          );
        })}
        {jobs.map((job) => (
          <g key={job.job}>
            {job.found_mm !== null && (
              <g transform={`translate(${x(job.usage)} ${y(job.found_mm)})`}>
                <MarkShape kind="found" r={7} />
              </g>
            )}
            {job.left_mm !== null && (
              <g transform={`translate(${x(job.usage)} ${y(job.left_mm)})`}>
                <MarkShape kind="left" r={6} />
              </g>
            )}
            <text x={x(job.usage)} y={HEIGHT - 8} textAnchor="middle" fontSize="13" fill={paint.soft}>
              {counted(job.usage)}
            </text>
          </g>
        ))}
      </svg>
    </Box>
  );
};
