import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { KnownCable } from '../../api/cables';
import { cableEnds } from '../../api/contract/vocabulary.gen';
import { Mark } from '../../components/Marks';
import { lengthUnit, shortLength } from '../../lib/figures';
import { day } from '../../lib/time';
import { kindName, named } from '../specs/words';

const end = (key: string | null) => (key === null ? 'not looked at' : named(cableEnds, key));

/** What was measured of it, in a line. */
export const cableSays = (cable: KnownCable): string =>
  [
    `wire ${shortLength(cable.wire_mm)} ${lengthUnit()}`,
    cable.conduit_mm === null ? 'conduit not measured' : `conduit ${shortLength(cable.conduit_mm)} ${lengthUnit()}`,
    `ends: ${end(cable.hand_end)}, ${end(cable.working_end)}`,
    cable.adjusters === null
      ? null
      : cable.adjusters.length === 0
        ? 'no adjuster on it'
        : cable.adjusters.map((one) => kindName(one).toLowerCase()).join(' and '),
  ]
    .filter(Boolean)
    .join(' · ');

/** Where it fitted, where it was refused, and which control it is on. */
const Where = ({ cable }: { cable: KnownCable }) => (
  <Box textStyle="small">
    {cable.on !== null && (
      <Box>
        On <Link to={`/machines/${cable.on.tag}#${cable.on.key}`}>{cable.on.tag}</Link>, {cable.on.name.toLowerCase()}
      </Box>
    )}
    {cable.told.map((one) => (
      <Flex key={`${one.tag} ${one.key}`} gap="2" alignItems="center" data-told={one.fits ? 'fitted' : 'refused'}>
        <Mark kind={one.fits ? 'inside' : 'wrong'} size="small" />
        <span>
          {one.fits ? 'Fitted' : 'Did not fit'} <Link to={`/machines/${one.tag}#${one.key}`}>{one.tag}</Link>,{' '}
          {one.name.toLowerCase()}, {day(one.on)}
        </span>
      </Flex>
    ))}
    {cable.measured_by !== null && (
      <Box>
        Measured by {cable.measured_by}
        {cable.measured_on !== null && `, ${day(cable.measured_on)}`}
      </Box>
    )}
    {cable.note !== null && <Box>{cable.note}</Box>}
  </Box>
);

type RowProps = { cable: KnownCable; verdict?: ReactNode; action: ReactNode };

/** One cable of the book. */
export const CableRow = ({ cable, verdict, action }: RowProps) => (
  <Grid
    templateColumns={{ base: '1fr auto', md: '1.3fr 1.2fr auto' }}
    columnGap="5"
    rowGap="2"
    alignItems="start"
    paddingInline="4"
    paddingBlock="3"
    borderTopWidth="thin"
    borderColor="line"
    _first={{ borderTopWidth: '0' }}
    data-cable={cable.name}
  >
    <Box minWidth="0">
      <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight" overflowWrap="anywhere">
        {cable.name}
        {cable.number !== null && (
          <Box as="span" color="soft">
            {' '}
            {cable.number}
          </Box>
        )}
      </Box>
      <Box textStyle="small">
        {cableSays(cable)}
        {cable.price !== null && ` · ${cable.price}`}
      </Box>
      {verdict}
    </Box>
    <Box gridColumn={{ base: '1 / -1', md: 'auto' }} gridRow={{ base: '2', md: 'auto' }}>
      <Where cable={cable} />
    </Box>
    <Box justifySelf="end">{action}</Box>
  </Grid>
);
