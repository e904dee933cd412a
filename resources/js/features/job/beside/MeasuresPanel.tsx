import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import type { Measure } from '../../../api/beside';
import { Button, Chip, Sheet } from '../../../components/Buttons';
import { Mark, type MarkKind } from '../../../components/Marks';
import { measuredText, unitText } from '../../../lib/figures';
import { paint } from '../../../theme/paint';
import { useBench } from '../useBench';
import { Governor } from './Governor';

const marks = {
  inside: 'inside',
  too_loose: 'wrong',
  too_tight: 'wrong',
  taut: 'wrong',
  cant_tell: 'cant_tell',
  not_judged: 'quiet',
  unread: 'to_do',
} as const satisfies Record<Measure['verdict'], MarkKind>;

/** What is timed, paced or measured beside the play, each against its limit. */
export const MeasuresPanel = () => {
  const { state, item } = useBench();
  const { measures, governor } = state.beside;
  if (measures.length === 0) return null;
  return (
    <Sheet padding="3" aria-label="Measured" data-measures>
      <Grid templateColumns={{ base: '1fr', md: `repeat(${Math.min(2, measures.length)}, 1fr)` }} gap="4">
        {measures.map((one) => (
          <One key={one.key} measure={one} />
        ))}
      </Grid>
      {/* Where its speed is asked for, it stands in that card. */}
      {governor !== null && item?.measure !== 'ground_speed' && <Governor />}
    </Sheet>
  );
};

const One = ({ measure }: { measure: Measure }) => {
  const { turnTo, mayWrite } = useBench();
  const figure = (value: number) => measuredText(value, measure.decimals, measure.unit);
  return (
    <Box>
      <Flex justifyContent="space-between" alignItems="baseline" gap="2">
        <Heading as="h2" fontSize="lg">
          {measure.label}
        </Heading>
        {mayWrite && (
          <Button
            look="link"
            minHeight="7"
            paddingInline="0"
            onClick={() => turnTo(`measure:${measure.key}`)}
            data-measure={measure.key}
          >
            Measure
          </Button>
        )}
      </Flex>
      <Flex alignItems="center" gap="3" marginTop="1">
        {measure.key === 'blade_stop' && <Dial measure={measure} />}
        <Box>
          <Box textStyle="figure" fontSize="3xl" lineHeight="1.1">
            {measure.mean === null ? '–' : figure(measure.mean)}{' '}
            <Box as="span" fontSize="md">
              {unitText(measure.unit)}
            </Box>
          </Box>
          {measure.expanded !== null && (
            <Box textStyle="small">
              ± {figure(measure.expanded)} from {measure.values.map(figure).join(', ')}
            </Box>
          )}
          {measure.high !== null && (
            <Box textStyle="small">
              at most {figure(measure.high)} {unitText(measure.unit)}
            </Box>
          )}
          <Chip
            tone={
              measure.verdict === 'inside'
                ? 'inside'
                : measure.verdict === 'unread'
                  ? 'quiet'
                  : measure.verdict === 'cant_tell'
                    ? 'cantTell'
                    : 'stop'
            }
            marginTop="1"
          >
            <Mark kind={marks[measure.verdict]} onDark={measure.verdict === 'too_loose'} />
            {measure.sentence}
          </Chip>
        </Box>
      </Flex>
      {measure.advice !== null && (
        <Box fontSize="sm" fontWeight="bold" marginTop="1">
          {measure.advice}
        </Box>
      )}
      {measure.note !== null && (
        <Box textStyle="small" marginTop="1">
          {measure.note}
        </Box>
      )}
    </Box>
  );
};

/** A watch face of one and a third times the limit: the limit as an edge, every run as a hand. */
const Dial = ({ measure }: { measure: Measure }) => {
  const limit = measure.high ?? 1;
  const all = Math.max(limit * 1.35, ...measure.values.map((value) => value * 1.05));
  const turn = (value: number) => (360 * value) / all;
  const at = (value: number, r: number) => {
    const angle = ((turn(value) - 90) * Math.PI) / 180;
    return `${(r * Math.cos(angle)).toFixed(2)} ${(r * Math.sin(angle)).toFixed(2)}`;
  };
  const large = turn(limit) > 180 ? 1 : 0;
  const last = measure.values.at(-1);
  return (
    <svg viewBox="-56 -64 112 120" width="112" height="120" aria-hidden="true">
      <rect x="-6" y="-63" width="12" height="10" rx="2" fill={paint['steel.dark']} />
      <circle r="50" fill={paint.sheet} stroke={paint.ink} strokeWidth="5" />
      <path d={`M0 0L0 -44A44 44 0 ${large} 1 ${at(limit, 44)}Z`} fill={paint['petrol.wash']} />
      <path d={`M${at(limit, 26)}L${at(limit, 46)}`} stroke={paint.inside} strokeWidth="4" />
      <path
        d={measure.values.map((value) => `M0 0L${at(value, 40)}`).join('')}
        stroke={paint.ink}
        strokeWidth="2.5"
        strokeLinecap="round"
      />
      {last !== undefined && (
        <path
          d={`M0 0L${at(last, 40)}`}
          stroke={last > limit ? paint.stop : paint.ink}
          strokeWidth="5"
          strokeLinecap="round"
        />
      )}
      <circle r="5" fill={paint.ink} />
    </svg>
  );
};
