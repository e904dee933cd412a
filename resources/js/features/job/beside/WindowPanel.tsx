import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ThrottleWindow } from '../../../api/beside';
import { Sheet } from '../../../components/Buttons';
import { MarkShape } from '../../../components/Marks';
import { lengthText, lengthUnit } from '../../../lib/figures';
import { useWidth } from '../../../lib/useWidth';
import { paint } from '../../../theme/paint';

const HEIGHT = 92;
const EDGE = 18;

type Props = { window: ThrottleWindow; cable: string | null };

/** A throttle between closing lost and opening lost: where its slack lies, tightest pose to slackest, and of which cable. */
export const WindowPanel = ({ window, cable }: Props) => {
  const [box, width] = useWidth<HTMLDivElement>(640);
  const empty = window.most_mm < window.least_mm;
  const seen = [window.tightest_mm, window.slackest_mm].filter((value): value is number => value !== null);
  const most = Math.max(window.most_mm, window.least_mm, ...seen, 1) * 1.35;
  const x = (value: number) => EDGE + ((width - 2 * EDGE) * Math.min(most, Math.max(0, value))) / most;
  const [from, to] = [x(window.least_mm), x(window.most_mm)];
  // Beside their edges where there is room, else at the ends of the strip.
  const place = (at: number, before: boolean): { x: number; textAnchor: 'start' | 'end' } => {
    if (width < 480) return before ? { x: EDGE, textAnchor: 'start' } : { x: width - EDGE, textAnchor: 'end' };
    return before && at > 130 ? { x: at - 8, textAnchor: 'end' } : { x: at + 8, textAnchor: 'start' };
  };
  return (
    <Sheet padding="3" aria-label="Throttle window" data-window>
      <Flex justifyContent="space-between" alignItems="baseline" gap="3" flexWrap="wrap">
        <Heading as="h2" fontSize="lg">
          Closing and opening
        </Heading>
        <Box textStyle="small">
          {cable === null ? '' : `${cable}: `}slack at the wire, {lengthUnit()}
        </Box>
      </Flex>
      <Box ref={box} role="img" aria-label={window.sentence}>
        <svg width={width} height={HEIGHT} aria-hidden="true">
          <rect x={EDGE} y="30" width={width - 2 * EDGE} height="26" rx="4" fill={paint['vivid.wash']} />
          {!empty && <rect x={from} y="30" width={Math.max(2, to - from)} height="26" fill={paint['petrol.wash']} />}
          {[
            {
              at: window.least_mm,
              word: window.least_mm > window.margin_mm + 0.05 ? 'wire overloaded' : 'closing lost',
              end: true,
            },
            { at: window.most_mm, word: 'opening lost', end: false },
          ].map(({ at, word, end }) => (
            <g key={word}>
              <path d={`M${x(at)} 24V62`} stroke={empty ? paint.stop : paint.inside} strokeWidth="3" />
              <text {...place(x(at), end)} y="20" fontSize="14" fontWeight="bold" fill={paint.ink}>
                {word}
              </text>
              <text x={x(at)} y="80" textAnchor="middle" fontSize="14" fill={paint['petrol.text']} fontWeight="bold">
                {lengthText(at)}
              </text>
            </g>
          ))}
          {window.tightest_mm !== null && window.slackest_mm !== null && (
            <g>
              <path
                d={`M${x(window.tightest_mm)} 43H${x(window.slackest_mm)}`}
                stroke={paint.ink}
                strokeWidth="5"
                strokeLinecap="round"
              />
              {[window.tightest_mm, window.slackest_mm].map((at) => (
                <g key={at} transform={`translate(${x(at)} 43)`}>
                  <MarkShape kind="now" r={7} />
                </g>
              ))}
            </g>
          )}
        </svg>
      </Box>
      <Box lineHeight="snug" fontWeight="bold" fontSize="sm">
        {window.sentence}
      </Box>
    </Sheet>
  );
};
