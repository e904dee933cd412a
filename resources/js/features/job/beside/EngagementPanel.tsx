import { Box, Flex, Heading } from '@chakra-ui/react';
import type { Engagement } from '../../../api/beside';
import { Sheet } from '../../../components/Buttons';
import { MarkShape } from '../../../components/Marks';
import { lengthText, lengthUnit } from '../../../lib/figures';
import { useWidth } from '../../../lib/useWidth';
import { paint } from '../../../theme/paint';
import { useBench } from '../useBench';

const HEIGHT = 104;
const EDGE = 20;

/** The handle from rest to its end: nothing at rest, first motion in its window, full drive before the end. */
export const EngagementPanel = ({ engagement }: { engagement: Engagement }) => {
  const { state } = useBench();
  const [box, width] = useWidth<HTMLDivElement>(640);
  const { low_mm: low, high_mm: high } = state.spec.band;
  const most = Math.max(engagement.full_by_mm, engagement.full_mm ?? 0, engagement.first_mm ?? 0) * 1.12;
  const x = (value: number) => EDGE + ((width - 2 * EDGE) * value) / most;
  return (
    <Sheet padding="3" aria-label="Engagement" data-engagement>
      <Flex justifyContent="space-between" alignItems="baseline" gap="3" flexWrap="wrap">
        <Heading as="h2" fontSize="lg">
          Rest to full drive
        </Heading>
        <Box textStyle="small">handle travel, {lengthUnit()}</Box>
      </Flex>
      <Box ref={box} role="img" aria-label={engagement.sentence}>
        <svg width={width} height={HEIGHT} aria-hidden="true">
          <rect
            x={x(0)}
            y="34"
            width={width - 2 * EDGE}
            height="24"
            rx="3"
            fill={paint.well}
            stroke={paint['steel.mid']}
          />
          <rect
            x={x(low ?? 0)}
            y="34"
            width={Math.max(2, x(high ?? engagement.full_by_mm) - x(low ?? 0))}
            height="24"
            fill={paint['petrol.wash']}
          />
          {[low ?? 0, high ?? engagement.full_by_mm].map((edge) => (
            <g key={edge}>
              <path d={`M${x(edge)} 30V62`} stroke={paint.inside} strokeWidth="2.5" />
              <text x={x(edge)} y="78" textAnchor="middle" fontSize="14" fontWeight="bold" fill={paint['petrol.text']}>
                {lengthText(edge, 0)}
              </text>
            </g>
          ))}
          <text
            x={(x(low ?? 0) + x(high ?? engagement.full_by_mm)) / 2}
            y="98"
            textAnchor="middle"
            fontSize="14"
            fill={paint.ink}
          >
            first motion
          </text>
          <path d={`M${x(engagement.full_by_mm)} 26V66`} stroke={paint.ink} strokeWidth="3" />
          <text x={x(engagement.full_by_mm)} y="20" textAnchor="end" fontSize="14" fontWeight="bold" fill={paint.ink}>
            full drive by {lengthText(engagement.full_by_mm, 0)}
          </text>
          {engagement.first_mm !== null && engagement.full_mm !== null && (
            <path
              d={`M${x(engagement.first_mm)} 58L${x(engagement.full_mm)} 34V58Z`}
              fill={paint.action}
              opacity="0.28"
            />
          )}
          {engagement.first_mm !== null && (
            <g transform={`translate(${x(engagement.first_mm)} 46)`}>
              <MarkShape kind="now" r={7} />
            </g>
          )}
          {engagement.full_mm !== null && (
            <g transform={`translate(${x(engagement.full_mm)} 46)`}>
              <MarkShape kind="left" r={7} />
            </g>
          )}
        </svg>
      </Box>
      <Box lineHeight="snug" fontWeight="bold" fontSize="sm">
        {engagement.sentence}
      </Box>
    </Sheet>
  );
};
