import { Box, Flex, Grid } from '@chakra-ui/react';
import { type ShelfInstrument, sizesOf } from '../../api/shelf';
import { Button, LinkButton } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { capital } from '../../lib/capital';
import { lengthText, lengthUnit, perUnit, shortLength, trimmed, unitText } from '../../lib/figures';
import { day, due, dueLine } from '../../lib/time';
import { Scale } from './Scale';
import { kindNames, stateMarks } from './words';

/** A size of it, in the units of whoever reads it. */
const size = (instrument: ShelfInstrument, value: number): string =>
  sizesOf(instrument).unit === 'mm'
    ? `${shortLength(value)} ${lengthUnit()}`
    : `${trimmed(value / perUnit('N'))} ${unitText('N')}`;

type Props = { instrument: ShelfInstrument; onEdit: (() => void) | null };

export const InstrumentRow = ({ instrument, onEdit }: Props) => (
  <Grid
    templateColumns={{ base: '1fr auto', md: '{sizes.36} 1.1fr 1.2fr 1.2fr {sizes.24}' }}
    columnGap="5"
    rowGap="1"
    alignItems="center"
    paddingInline="4"
    paddingBlock="3"
    borderTopWidth="thin"
    borderColor="line"
    _first={{ borderTopWidth: '0' }}
    data-instrument-row={instrument.id}
  >
    <Box display={{ base: 'none', md: 'block' }}>
      <Scale kind={instrument.kind} step={sizesOf(instrument).resolution} />
    </Box>
    <Box>
      <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
        {instrument.name}
      </Box>
      <Box textStyle="small">
        {kindNames[instrument.kind]}, shows {size(instrument, sizesOf(instrument).resolution)}, reaches{' '}
        {size(instrument, sizesOf(instrument).reach)}
      </Box>
    </Box>
    <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
      <Calibration instrument={instrument} />
      <LinkButton
        to={`/shelf/${encodeURIComponent(instrument.id)}/checks`}
        look="link"
        paddingInline="0"
        minHeight="7"
        fontSize="sm"
        aria-label={`Checks of ${instrument.name}`}
      >
        Checks
      </LinkButton>
    </Box>
    <Box gridColumn={{ base: '1 / -1', md: 'auto' }} textStyle="small">
      {sizesOf(instrument).unit === 'N' ? (
        'Play is not read with it'
      ) : instrument.my_deviation_mm === null ? (
        'You have not repeated readings with it yet'
      ) : (
        <>
          In your hands it repeats to{' '}
          <b>
            {lengthText(instrument.my_deviation_mm, 2)} {lengthUnit()}
          </b>
          , from {trimmed(instrument.my_freedom ?? 0)} repeats
        </>
      )}
    </Box>
    <Box gridRow={{ base: '1', md: 'auto' }} gridColumn={{ base: '2', md: 'auto' }} textAlign="right">
      {onEdit !== null && (
        <Button look="quiet" onClick={onEdit} aria-label={`Change ${instrument.name}`}>
          Change
        </Button>
      )}
    </Box>
  </Grid>
);

const Calibration = ({ instrument }: { instrument: ShelfInstrument }) => {
  const { calibration, state } = instrument;
  if (calibration === null) return <Box textStyle="small">No certificate: its marks count as they are</Box>;
  return (
    <Flex gap="2" alignItems="center">
      <Mark kind={stateMarks[state]} size="text" />
      <Box lineHeight="snug">
        <Box fontWeight={state === 'overdue' || state === 'soon' ? 'bold' : 'normal'}>
          {calibration.due === null
            ? 'No date named'
            : state === 'overdue'
              ? `Overdue since ${day(calibration.due)}`
              : state === 'soon'
                ? capital(dueLine(due(calibration.due)))
                : `Due ${day(calibration.due)}`}
        </Box>
        <Box textStyle="small">
          ± {size(instrument, sizesOf(instrument).expanded ?? 0)}, k = {trimmed(calibration.factor)}
        </Box>
      </Box>
    </Flex>
  );
};
