import { Box, Flex } from '@chakra-ui/react';
import type { BenchRow } from '../../api/bench';
import { Button } from '../../components/Buttons';
import { MachineTag } from '../../components/MachineTag';
import { MiniTape } from '../../components/MiniTape';
import { Refusal } from '../../components/Refusal';
import { RowLink } from '../../components/RowLink';
import { bandText, lengthUnit } from '../../lib/figures';
import { useNow } from '../../lib/now';
import { useSignedIn } from '../../lib/signedIn';
import { clock, duration, moment } from '../../lib/time';
import { useStartJob } from '../machines/useStartJob';
import { placeOf } from './place';

const columns = { base: '1fr auto', md: '{sizes.26} 1fr 1fr {sizes.44} {sizes.26}' };

type QueueRowProps = { row: BenchRow; fitted: boolean };

export const QueueRow = ({ row, fitted }: QueueRowProps) => {
  const { control } = row;
  const person = useSignedIn();
  // On a phone the button lies beside the tape, so that the words have the whole width.
  const checks = person.may_log && control.may_check;
  return (
    <Flex
      position="relative"
      borderTopWidth="thin"
      borderColor="line"
      _first={{ borderTopWidth: '0' }}
      alignItems="center"
    >
      <RowLink
        to={placeOf(row)}
        flex="1"
        minWidth="0"
        gridTemplateColumns={columns}
        data-row={`${row.tag} ${control.key}`}
      >
        <Box gridColumn={{ base: '1', md: 'auto' }}>
          <MachineTag tag={row.tag} stop={control.tag !== null} />
        </Box>
        <Box gridRow={{ base: '2', md: 'auto' }} gridColumn={{ base: '1', md: 'auto' }}>
          <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
            {control.name}
          </Box>
          <Box textStyle="small">{row.machine}</Box>
        </Box>
        <Box
          gridRow={{ base: '2', md: 'auto' }}
          gridColumn={{ base: '2', md: 'auto' }}
          textAlign={{ base: 'right', md: 'left' }}
        >
          <Waits row={row} />
        </Box>
        <Flex
          gridColumn={{ base: '1 / -1', md: 'auto' }}
          alignItems="center"
          minHeight={{ base: checks ? 'touch' : '0', md: '0' }}
          paddingRight={{ base: checks ? '26' : '0', md: '0' }}
        >
          {row.ready === 'cooling' && row.cooled_share !== null ? (
            <Cooling share={row.cooled_share} />
          ) : control.point_label === null ? null : (
            <MiniTape
              band={control.band}
              found={control.found_mm}
              now={control.found_mm === control.now_mm ? null : control.now_mm}
              left={control.left_mm}
            />
          )}
        </Flex>
        <Box
          gridRow={{ base: '1', md: 'auto' }}
          gridColumn={{ base: '2', md: 'auto' }}
          textAlign="right"
          whiteSpace="nowrap"
        >
          {row.spent === null ? `${row.minutes} min` : `${row.spent} of ${control.minutes} min`}
          {fitted && <Whose row={row} />}
          {row.covers_shared.length > 0 && <Box textStyle="small">{row.covers_shared.join(', ')} off already</Box>}
        </Box>
      </RowLink>
      <CheckNow row={row} />
    </Flex>
  );
};

/** A glance at its play, where nothing is begun on it. */
const CheckNow = ({ row }: { row: BenchRow }) => {
  const person = useSignedIn();
  const check = useStartJob(row.tag, row.control.key, true);
  const { control } = row;
  if (!person.may_log) return null;
  // The place is kept where none is offered, so that the rows stand in columns.
  if (!control.may_check) return <Box width="23" flexShrink="0" display={{ base: 'none', md: 'block' }} />;
  return (
    <Box
      width={{ md: '23' }}
      paddingRight="3"
      flexShrink="0"
      position={{ base: 'absolute', md: 'static' }}
      bottom="2"
      right="1"
    >
      <Button
        look="plain"
        onClick={() => check.mutate()}
        disabled={check.isPending}
        aria-label={`Check the ${control.name} of ${row.tag}`}
        data-check={`${row.tag} ${control.key}`}
      >
        Check
      </Button>
      {check.isError && <Refusal error={check.error} />}
    </Box>
  );
};

/** Whose hours hold it, once it is said who is here. */
const Whose = ({ row }: { row: BenchRow }) =>
  row.person === null ? (
    <Box fontWeight="bold" data-no-time>
      no time today
    </Box>
  ) : (
    <Box textStyle="small">{row.person}</Box>
  );

/** What it waits for: its stage, its coolness, or a start. */
const Waits = ({ row }: { row: BenchRow }) => {
  const now = useNow();
  const { control } = row;
  const band =
    control.point_label === null
      ? control.family
      : `${bandText(control.band)} ${lengthUnit()} at the ${control.point_label}`;
  if (row.ready === 'soaking' && row.soaked_at !== null) {
    return <Words first={`Plates soak until ${moment(row.soaked_at)}`} second={`at ${control.stage ?? 'work'}`} />;
  }
  if (control.stage !== null) {
    return (
      <Words
        first={
          control.moves > 0
            ? `${control.stage} · ${control.moves === 1 ? '1 move' : `${control.moves} moves`}`
            : control.stage
        }
        second={`left by ${control.by}`}
        vivid
      />
    );
  }
  if (row.ready === 'cooling' && row.cold_at !== null) {
    const minutes = Math.max(1, Math.round((Date.parse(row.cold_at) - now) / 60_000));
    return <Words first={`Cold in ${duration(minutes)}`} second={`at ${clock(row.cold_at)}, then ${band}`} />;
  }
  return <Words first={row.ready === 'hot' ? 'After 5 min running' : 'Start'} second={band} />;
};

const Words = ({ first, second, vivid = false }: { first: string; second: string; vivid?: boolean }) => (
  <>
    <Flex
      textStyle="eyebrow"
      alignItems="center"
      gap="2"
      justifyContent={{ base: 'flex-end', md: 'flex-start' }}
      color={vivid ? 'actionText' : 'ink'}
    >
      {first}
    </Flex>
    <Box textStyle="small">{second}</Box>
  </>
);

const Cooling = ({ share }: { share: number }) => (
  <Box
    height="8px"
    borderRadius="full"
    bg="page"
    width="190px"
    maxWidth="100%"
    role="img"
    aria-label={`${Math.round(share * 100)} % of the way to cold`}
  >
    <Box height="100%" borderRadius="full" bg="blue.cool" width={`${Math.round(share * 100)}%`} />
  </Box>
);
