import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type BenchDay, benchQuery, sayPresent } from '../../api/bench';
import { peopleQuery } from '../../api/people';
import { Button } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { useSignedIn } from '../../lib/signedIn';
import { duration } from '../../lib/time';

/** How much work waits, how much time there is for it, and what there is no time for. */
export const Hours = ({ day }: { day: BenchDay }) => {
  const person = useSignedIn();
  const [open, setOpen] = useState(false);
  const hours = day.present.reduce((sum, one) => sum + one.minutes, 0);
  const over = day.queue.filter((row) => row.person === null).length;
  const people = day.present.length === 1 ? day.present[0]?.name : `${day.present.length} people`;
  return (
    <>
      <Box color="soft" flex={{ base: '1 0 100%', md: '0 1 auto' }} order={{ base: 1, md: 0 }}>
        {day.queue.length === 1 ? '1 control' : `${day.queue.length} controls`} · {duration(day.minutes)}
        {day.present.length === 0 ? ' of work' : ` of ${duration(hours)} · ${people}`}
        {day.present.length > 0 && over > 0 && (
          <Box as="span" color="ink" fontWeight="bold">
            {` · no time for ${over}`}
          </Box>
        )}
      </Box>
      {person.may_log && (
        <Button look="quiet" size="small" onClick={() => setOpen(true)} data-who-is-here marginLeft="auto">
          Who is here
        </Button>
      )}
      {open && <WhoIsHere day={day} onClose={() => setOpen(false)} />}
    </>
  );
};

const HALF_HOUR = 30;
const USUAL = 240;

const WhoIsHere = ({ day, onClose }: { day: BenchDay; onClose: () => void }) => {
  const { data } = useQuery(peopleQuery);
  const client = useQueryClient();
  const [minutes, setMinutes] = useState<Record<string, number>>(
    Object.fromEntries(day.present.map((one) => [one.login, one.minutes])),
  );
  const say = useMutation({
    mutationFn: () =>
      sayPresent(
        Object.entries(minutes)
          .filter(([, here]) => here > 0)
          .map(([login, here]) => ({ login, minutes: here })),
      ),
    onSuccess: (after) => {
      client.setQueryData(benchQuery.queryKey, after);
      onClose();
    },
  });
  const workers = (data?.people ?? []).filter((one) => one.role !== 'viewer' && one.left_at === null);
  return (
    <Modal
      open
      onClose={onClose}
      title="Who is at the bench today?"
      about="The day is planned by their hours. What there is no time for is marked."
      cancel="Cancel"
      actions={
        <Button look="vivid" onClick={() => say.mutate()} disabled={say.isPending} data-primary>
          Plan the day
        </Button>
      }
    >
      <Flex direction="column" gap="2">
        {workers.map((one) => {
          const here = minutes[one.login] ?? 0;
          const step = (by: number) => setMinutes({ ...minutes, [one.login]: Math.max(0, Math.min(960, here + by)) });
          return (
            <Grid
              key={one.login}
              templateColumns="1fr auto auto auto"
              gap="2"
              alignItems="center"
              data-here={one.login}
            >
              <Box>
                <b>{one.name}</b>
                <Box textStyle="small">{one.role}</Box>
              </Box>
              <Button look="plain" size="small" onClick={() => step(-HALF_HOUR)} aria-label={`${one.name}: less`}>
                −
              </Button>
              <chakra.span minWidth="18" textAlign="center" fontVariantNumeric="tabular-nums">
                {here === 0 ? 'not here' : duration(here)}
              </chakra.span>
              <Button
                look="plain"
                size="small"
                onClick={() => step(here === 0 ? USUAL : HALF_HOUR)}
                aria-label={`${one.name}: more`}
              >
                +
              </Button>
            </Grid>
          );
        })}
      </Flex>
      {say.isError && <Refusal error={say.error} />}
    </Modal>
  );
};
