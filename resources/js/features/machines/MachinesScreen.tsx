import { Box, chakra, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { lazy, useDeferredValue, useMemo, useState } from 'react';
import { type YardMachine, yardQuery } from '../../api/machines';
import { Button, Field, Sheet } from '../../components/Buttons';
import { Fetched } from '../../components/Fetched';
import { Frame } from '../../components/Frame';
import { isThere, KindAndPlace } from '../../components/KindAndPlace';
import { useFirstInSlices, useGrowing } from '../../components/Later';
import { MachineTag } from '../../components/MachineTag';
import { Mark, type MarkKind } from '../../components/Marks';
import { RowLink } from '../../components/RowLink';
import { Select } from '../../components/Select';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { alphabetical } from '../../lib/alphabetical';
import { counted } from '../../lib/figures';
import { finds } from '../../lib/finds';
import { useSignedIn } from '../../lib/signedIn';
import { due, dueLine } from '../../lib/time';
import { useInAddress } from '../../lib/useInAddress';

const NewMachine = lazy(() => import('./NewMachine'));

/** So many rows are drawn at once; more when they are asked for. */
const AT_ONCE = 60;
/** As many as a desk shows. */
const FIRST = 10;

const usual = { words: '', state: 'all', kind: '', place: '', order: 'tag', yard: '' };

type Asked = typeof usual;

/** The yard, a machine a row, with how each of its controls stands. */
export default function MachinesScreen() {
  const [asked, ask] = useInAddress(usual);
  const retired = asked.yard === 'retired';
  const { data: known, error, refetch } = useQuery(yardQuery(retired));
  const data = useFirstInSlices(known);
  return (
    <Frame>
      {data !== undefined ? (
        <Yard machines={data.machines} asked={asked} onAsk={ask} />
      ) : error !== null ? (
        <Failure error={error} retry={() => refetch()} />
      ) : (
        <Loading what="the machines" />
      )}
    </Frame>
  );
}

const states = [
  { key: 'all', label: 'All', holds: () => true },
  {
    key: 'tagged',
    label: 'Do not run',
    holds: (one: YardMachine) =>
      one.controls.some(({ mark }) => mark === 'tagged' || mark === 'reported' || mark === 'in_work_stopped'),
  },
  { key: 'due', label: 'Due', holds: (one: YardMachine) => one.is_due },
  {
    key: 'in_work',
    label: 'In work',
    holds: (one: YardMachine) => one.controls.some(({ mark }) => mark === 'in_work' || mark === 'in_work_stopped'),
  },
  {
    key: 'left_open',
    label: 'Left open',
    holds: (one: YardMachine) => one.controls.some(({ mark }) => mark === 'left_open'),
  },
] as const;

const orders = [
  { key: 'tag', label: 'by tag', of: (one: YardMachine) => one.tag },
  { key: 'due', label: 'by due date', of: (one: YardMachine) => one.due_on ?? '9999' },
  { key: 'name', label: 'by name', of: (one: YardMachine) => one.name },
  { key: 'place', label: 'by place', of: (one: YardMachine) => one.place },
] as const;

function shown(machines: readonly YardMachine[], asked: Asked): readonly YardMachine[] {
  const holds = states.find((one) => one.key === asked.state)?.holds ?? (() => true);
  const of = orders.find((one) => one.key === asked.order)?.of ?? ((one: YardMachine) => one.tag);
  const those = machines.filter((one) => {
    const said = `${one.tag} ${one.plate ?? ''} ${one.name} ${one.kind} ${one.place}`;
    return holds(one) && isThere(one, asked) && finds(asked.words, said, [one.tag, one.plate]);
  });

  return those.sort((a, b) => alphabetical(of(a), of(b)) || alphabetical(a.tag, b.tag));
}

type YardProps = { machines: readonly YardMachine[]; asked: Asked; onAsk: (asked: Asked) => void };

const Yard = ({ machines, asked, onAsk }: YardProps) => {
  const person = useSignedIn();
  const retired = asked.yard === 'retired';
  const [adding, setAdding] = useState(false);
  const [many, setMany] = useState(AT_ONCE);
  const drawn = useGrowing(FIRST);
  const late = useDeferredValue(asked);
  const rows = useMemo(() => shown(machines, late), [machines, late]);
  return (
    <>
      <Flex alignItems="baseline" gap="4" marginBottom="3" flexWrap="wrap">
        <Title>{retired ? 'Retired machines' : 'Machines'}</Title>
        <Box color="soft" flex="1" aria-live="polite" data-shown={rows.length}>
          {rows.length === machines.length
            ? `${machines.length} ${retired ? 'retired' : 'in the yard'}`
            : `${rows.length} of ${machines.length}`}
        </Box>
        <Button look="quiet" onClick={() => onAsk({ ...asked, yard: retired ? '' : 'retired' })} data-retired>
          {retired ? 'Those in the yard' : 'Retired ones'}
        </Button>
        {person.may_keep_shop && (
          <Button look="vivid" onClick={() => setAdding(true)} data-add-machine data-primary>
            Add a machine
          </Button>
        )}
      </Flex>
      {adding && (
        <Fetched onClose={() => setAdding(false)}>
          <NewMachine onClose={() => setAdding(false)} />
        </Fetched>
      )}
      {machines.length === 0 ? (
        <Empty title={retired ? 'None is retired' : 'No machines yet'}>
          {retired ? 'A lead retires one on its page.' : "The workshop's machines show here once they are entered."}
        </Empty>
      ) : (
        <>
          <Sift machines={machines} asked={asked} onAsk={onAsk} />
          {rows.length === 0 ? (
            <Empty title="None of them">Ask for less: another word, kind, place or state.</Empty>
          ) : (
            <Sheet overflow="hidden">
              <ul>
                {rows.slice(0, Math.min(many, drawn)).map((machine) => (
                  <MachineRow key={machine.tag} machine={machine} />
                ))}
              </ul>
            </Sheet>
          )}
          {rows.length > many && (
            <Button look="plain" marginTop="3" onClick={() => setMany(many + 5 * AT_ONCE)} data-more>
              {counted(rows.length - many)} more
            </Button>
          )}
        </>
      )}
    </>
  );
};

/** What is asked for: a state, words, a kind, a place, and an order. */
const Sift = ({ machines, asked, onAsk }: YardProps) => {
  return (
    <Flex gap="2" flexWrap="wrap" marginBottom="3" role="group" aria-label="Which machines">
      {states.map(({ key, label, holds }) => (
        <Button
          key={key}
          look={asked.state === key ? 'dark' : 'plain'}
          aria-pressed={asked.state === key}
          onClick={() => onAsk({ ...asked, state: key })}
          data-state={key}
        >
          {label} {key === 'all' ? '' : machines.filter(holds).length}
        </Button>
      ))}
      <Box flex="1 1 {sizes.44}">
        <Field
          aria-label="Words: tag, plate, name or place"
          placeholder="tag, plate, name or place"
          value={asked.words}
          onChange={(event) => onAsk({ ...asked, words: event.target.value })}
          data-words
        />
      </Box>
      <KindAndPlace among={machines} value={asked} onPick={(where) => onAsk({ ...asked, ...where })} />
      <Box flex={{ base: '1 1 {sizes.28}', md: '0 1 {sizes.36}' }}>
        <Select says="Order" value={asked.order} onPick={(order) => onAsk({ ...asked, order })} options={orders} />
      </Box>
    </Flex>
  );
};

const marks = {
  tagged: { mark: 'tag', says: 'do not run' },
  in_work_stopped: { mark: 'tag', says: 'in work: do not run' },
  in_work: { mark: 'now', says: 'in work' },
  reported: { mark: 'tag', says: 'reported: do not run' },
  left_open: { mark: 'found', says: 'left open' },
  fit: { mark: 'inside', says: 'fit for use' },
  checked: { mark: 'left', says: 'checked' },
  never: { mark: 'to_do', says: 'never worked on here' },
} as const satisfies Record<YardMachine['controls'][number]['mark'], { mark: MarkKind; says: string }>;

const columns = { base: '{sizes.26} 1fr', md: '{sizes.26} minmax({sizes.44}, 1fr) 2fr {sizes.40}' };

const MachineRow = ({ machine }: { machine: YardMachine }) => (
  <chakra.li borderTopWidth="thin" borderColor="line" _first={{ borderTopWidth: '0' }}>
    <RowLink
      to={`/machines/${encodeURIComponent(machine.tag)}`}
      gridTemplateColumns={columns}
      data-machine={machine.tag}
    >
      <MachineTag tag={machine.tag} stop={machine.controls.some(({ mark }) => mark === 'tagged')} />
      <Box minWidth="0">
        <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
          {machine.name}
        </Box>
        <Box textStyle="small">
          {machine.place} · {counted(machine.usage)}&nbsp;{machine.usage_unit}
        </Box>
      </Box>
      <Flex
        gap="3"
        rowGap="1"
        flexWrap="wrap"
        gridColumn={{ base: '1 / -1', md: 'auto' }}
        role="list"
        aria-label="How its controls stand"
      >
        {machine.controls.map((one) => (
          <Flex key={one.key} gap="1.5" alignItems="center" role="listitem" data-mark={one.mark}>
            <Mark kind={marks[one.mark].mark} size="text" />
            <Box fontSize="sm">
              {one.name}
              {['fit', 'never'].includes(one.mark) ? (
                <chakra.span srOnly>, {marks[one.mark].says}</chakra.span>
              ) : (
                <b>, {marks[one.mark].says}</b>
              )}
            </Box>
          </Flex>
        ))}
        {machine.controls.length === 0 && <Box color="soft">no control yet</Box>}
      </Flex>
      <Box
        gridColumn={{ base: '1 / -1', md: 'auto' }}
        textAlign={{ md: 'right' }}
        fontWeight={machine.is_due ? 'bold' : 'normal'}
        color={machine.is_due ? 'ink' : 'soft'}
      >
        {machine.due_on !== null && dueLine(due(machine.due_on))}
      </Box>
    </RowLink>
  </chakra.li>
);
