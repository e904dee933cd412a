import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import { Link } from 'react-router';
import { type DueRow, dueQuery, planControl } from '../../api/due';
import { keys } from '../../api/keys';
import { Button } from '../../components/Buttons';
import { Counted } from '../../components/Counted';
import { Frame } from '../../components/Frame';
import { isThere, KindAndPlace, type Where } from '../../components/KindAndPlace';
import { Later, useFirstInSlices } from '../../components/Later';
import { MachineTag } from '../../components/MachineTag';
import { Mark } from '../../components/Marks';
import { Refusal } from '../../components/Refusal';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { counted } from '../../lib/figures';
import { useSignedIn } from '../../lib/signedIn';
import { day, due, dueWhen } from '../../lib/time';
import { useInAddress } from '../../lib/useInAddress';
import { Calendar } from './Calendar';

const groups = [
  { title: 'Over', holds: (days: number) => days < 0 },
  { title: 'This week', holds: (days: number) => days >= 0 && days < 7 },
  { title: 'Within a month', holds: (days: number) => days >= 7 && days < 31 },
  { title: 'Later', holds: (days: number) => days >= 31 },
] as const;

/** Everything that falls due, earliest first, and the way onto the bench. */
export default function DueScreen() {
  const { data: known, error, refetch } = useQuery(dueQuery);
  const data = useFirstInSlices(known);
  return (
    <Frame>
      {data === undefined ? (
        error === null ? (
          <Loading what="the due list" />
        ) : (
          <Failure error={error} retry={() => refetch()} />
        )
      ) : (
        <List all={data.due} subscribed={data.calendar} />
      )}
    </Frame>
  );
}

const everywhere: Where = { kind: '', place: '' };

const idOf = (row: DueRow) => `${row.tag} ${row.control}`;
const List = ({ all, subscribed }: { all: readonly DueRow[]; subscribed: boolean }) => {
  const [where, setWhere] = useInAddress<Where>(everywhere);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const rows = all.filter((row) => isThere(row, where));
  const chosen = rows.filter((row) => picked.has(idOf(row)) && row.planned_on === null);
  const pick = (row: DueRow, isPicked: boolean) =>
    setPicked((now) => {
      const next = new Set(now);
      if (isPicked) next.add(idOf(row));
      else next.delete(idOf(row));
      return next;
    });
  return (
    <>
      <Flex alignItems="center" gap="4" marginBottom="2" flexWrap="wrap">
        <Title marginRight={{ base: 'auto', md: '0' }}>Due</Title>
        <Box color="soft" flex={{ base: '1 0 100%', md: '1' }} order={{ base: 3, md: 0 }} aria-live="polite">
          {rows.length === all.length
            ? `${all.length} ${all.length === 1 ? 'control' : 'controls'}, by book, practice and each one's own drift`
            : `${rows.length} of ${all.length} controls`}
        </Box>
        <Calendar subscribed={subscribed} />
      </Flex>
      {all.length === 0 ? (
        <Empty title="Nothing falls due">A control falls due once its first job is signed.</Empty>
      ) : (
        <>
          <Flex gap="2" flexWrap="wrap" alignItems="center" marginBottom="3" data-screen-only>
            <KindAndPlace among={all} value={where} onPick={setWhere} />
            <PlanAll rows={rows} chosen={chosen} onPick={setPicked} />
          </Flex>
          {rows.length === 0 && <Empty title="None of them">Ask for another kind or place.</Empty>}
          {groups.map(({ title, holds }, n) => {
            const When = n === 0 ? Fragment : Later;
            return (
              <When key={title}>
                <Group
                  title={title}
                  rows={rows.filter((row) => holds(row.days ?? 9999))}
                  picked={picked}
                  onPick={pick}
                />
              </When>
            );
          })}
        </>
      )}
    </>
  );
};

type PlanAllProps = { rows: readonly DueRow[]; chosen: readonly DueRow[]; onPick: (ids: ReadonlySet<string>) => void };

/** Several onto the bench at once: those ticked, or all that are over. */
const PlanAll = ({ rows, chosen, onPick }: PlanAllProps) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const over = rows.filter((row) => (row.days ?? 0) < 0 && row.planned_on === null);
  const plan = useMutation({
    mutationFn: async (those: readonly DueRow[]) => {
      // One by one: where somebody planned one meanwhile, those before it stand.
      for (const row of those)
        client.setQueryData(dueQuery.queryKey, await planControl(row.tag, row.control, 'today', row.plan_etag));
    },
    onSuccess: () => onPick(new Set()),
    onError: () => void client.invalidateQueries({ queryKey: dueQuery.queryKey }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.bench }),
  });
  if (!person.may_log) return null;
  const minutes = chosen.reduce((sum, row) => sum + row.minutes, 0);
  return (
    <>
      {chosen.length === 0 ? (
        over.length > 1 && (
          <Button look="quiet" onClick={() => onPick(new Set(over.map(idOf)))} data-pick-over>
            Choose all {over.length} that are over
          </Button>
        )
      ) : (
        <>
          <Button look="vivid" disabled={plan.isPending} onClick={() => plan.mutate(chosen)} data-plan-chosen>
            {plan.isPending ? 'One moment' : `${chosen.length} to the bench, ${minutes} min`}
          </Button>
          <Button look="quiet" disabled={plan.isPending} onClick={() => onPick(new Set())}>
            Choose none
          </Button>
        </>
      )}
      {plan.isError && <Refusal error={plan.error} />}
    </>
  );
};

type GroupProps = {
  title: string;
  rows: readonly DueRow[];
  picked: ReadonlySet<string>;
  onPick: (row: DueRow, isPicked: boolean) => void;
};

const Group = ({ title, rows, picked, onPick }: GroupProps) => (
  <Counted title={title} count={rows.length}>
    {rows.map((row) => (
      <OneDue key={idOf(row)} row={row} isPicked={picked.has(idOf(row))} onPick={(on) => onPick(row, on)} />
    ))}
  </Counted>
);

const useLeft = (row: DueRow) =>
  row.usage_left === null
    ? null
    : row.usage_left >= 0
      ? `${counted(row.usage_left)} ${row.usage_unit} left`
      : `${counted(-row.usage_left)} ${row.usage_unit} over`;

type OneProps = { row: DueRow; isPicked: boolean; onPick: (isPicked: boolean) => void };

const OneDue = ({ row, isPicked, onPick }: OneProps) => {
  const person = useSignedIn();
  const over = (row.days ?? 0) < 0;
  return (
    <Grid
      templateColumns={{ base: '1fr auto', md: '{sizes.38} 1.2fr 1fr 1fr {sizes.40}' }}
      columnGap="4"
      rowGap="1"
      alignItems="center"
      paddingInline="4"
      paddingBlock="2"
      minHeight="16"
      borderTopWidth="thin"
      borderColor="line"
      _first={{ borderTopWidth: '0' }}
      data-due={`${row.tag} ${row.control}`}
    >
      <Flex alignItems="center" gap="2">
        {person.may_log && (
          <Flex
            asChild
            display={{ base: row.planned_on === null ? 'flex' : 'none', md: 'flex' }}
            alignItems="center"
            justifyContent="center"
            boxSize="touch"
            marginLeft={{ base: '-2', md: '0' }}
            cursor="pointer"
            data-screen-only
          >
            <label>
              <chakra.input
                type="checkbox"
                boxSize="6"
                accentColor="{colors.ink}"
                visibility={row.planned_on === null ? 'visible' : 'hidden'}
                checked={isPicked && row.planned_on === null}
                onChange={(event) => onPick(event.target.checked)}
                aria-label={`Choose the ${row.control_name.toLowerCase()} of ${row.tag}`}
                data-pick
              />
            </label>
          </Flex>
        )}
        <Link to={`/machines/${row.tag}#${row.control}`} style={{ textDecoration: 'none' }}>
          <MachineTag tag={row.tag} />
        </Link>
      </Flex>
      <Box gridRow={{ base: '2', md: 'auto' }}>
        <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
          {row.control_name}
        </Box>
        <Box textStyle="small">
          {row.machine}, {row.place}
        </Box>
      </Box>
      <Flex gap="2" alignItems="center" gridRow={{ base: '3', md: 'auto' }}>
        <Mark kind={over ? 'found' : 'next'} size="small" />
        <Box>
          <b>{row.due_on === null ? 'no day' : dueWhen(due(row.due_on))}</b>
          <Box textStyle="small">{useLeft(row)}</Box>
        </Box>
      </Flex>
      <Box textStyle="small" gridRow={{ base: '3', md: 'auto' }} textAlign={{ base: 'right', md: 'left' }}>
        {row.why}
        <Box>{row.minutes} min</Box>
      </Box>
      <Box
        gridRow={{ base: '1', md: 'auto' }}
        gridColumn={{ base: '2', md: 'auto' }}
        justifySelf="end"
        data-screen-only
      >
        <Plan row={row} />
      </Box>
    </Grid>
  );
};

const Plan = ({ row }: { row: DueRow }) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const plan = useMutation({
    mutationFn: (on: 'today' | null) => planControl(row.tag, row.control, on, row.plan_etag),
    // Somebody planned it meanwhile: the list as it is now, with the sentence that says who.
    onError: () => void client.invalidateQueries({ queryKey: dueQuery.queryKey }),
    onSuccess: (after) => {
      client.setQueryData(dueQuery.queryKey, after);
      void client.invalidateQueries({ queryKey: keys.bench });
    },
  });
  if (!person.may_log) return row.planned_on === null ? null : <Box>planned {day(row.planned_on)}</Box>;
  return (
    <>
      {row.planned_on === null ? (
        <Button look="plain" size="small" disabled={plan.isPending} onClick={() => plan.mutate('today')} data-plan>
          To the bench
        </Button>
      ) : (
        <Button look="quiet" size="small" disabled={plan.isPending} onClick={() => plan.mutate(null)} data-unplan>
          Take off the bench
        </Button>
      )}
      {plan.isError && <Refusal error={plan.error} />}
    </>
  );
};
