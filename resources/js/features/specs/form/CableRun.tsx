import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { Button, Sheet } from '../../../components/Buttons';
import { Entry, Pick } from '../../../components/Entry';
import {
  type AdjusterDraft,
  emptyAdjuster,
  inOnePiece,
  inTwoPieces,
  isOfTwoPieces,
  mayBeOfTwoPieces,
  secondToAdd,
  withoutSecond,
  withSecond,
} from '../draft';
import type { FormProps } from '../SpecEditScreen';
import { counts, kindOptions, measuredBy } from '../words';

/** The run that every machine of the model has: its hand, its adjusters from there on, its working end. */
export const CableRun = ({ draft, set }: FormProps) => {
  const isGrip = draft.hand.kind === 'grip';
  const taken = draft.cables.flatMap((cable) => cable.adjusters.map((one) => one.id));
  const put = (at: number, next: AdjusterDraft[]) =>
    set({ cables: draft.cables.map((cable, n) => (n === at ? { ...cable, adjusters: next } : cable)) });
  return (
    <Sheet padding="4" aria-label="Cable run">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Cable run
      </Heading>
      <Grid templateColumns={{ base: '1fr 1fr', md: '1.4fr 1fr 1fr 1.4fr' }} gap="3">
        <Entry label="Hand control" value={draft.handName} onChange={(handName) => set({ handName })} />
        <Entry
          label={isGrip ? 'Drum radius' : 'Pivot to wire'}
          unit="mm"
          value={isGrip ? draft.drum : draft.pivotToWire}
          onChange={(value) => set(isGrip ? { drum: value } : { pivotToWire: value })}
          kind="decimal"
          most={8}
        />
        <Entry
          label={isGrip ? 'Flange radius' : 'Pivot to reading point'}
          unit="mm"
          value={isGrip ? draft.flange : draft.pivotToPoint}
          onChange={(value) => set(isGrip ? { flange: value } : { pivotToPoint: value })}
          kind="decimal"
          most={8}
        />
        <Entry label="Working end" value={draft.workingEnd} onChange={(workingEnd) => set({ workingEnd })} />
      </Grid>
      <Box textStyle="small" marginTop="1">
        Distances may stay empty: the first moves then teach how far the play goes with each turn. A thread, travel or
        step that nobody measured yet stays empty too: the draft is saved, and tells what it still needs before it is
        checked.
      </Box>
      {draft.cables.map((cable, at) => (
        <OneCable
          // biome-ignore lint/suspicious/noArrayIndexKey: the cables of a run never change places
          key={at}
          cable={cable}
          named={draft.cables.length > 1}
          taken={taken}
          onChange={(next) => put(at, next)}
        />
      ))}
      <SecondCable draft={draft} set={set} />
      {mayBeOfTwoPieces(draft) && (
        <Button
          look="quiet"
          size="small"
          marginTop="2"
          onClick={() => set(isOfTwoPieces(draft) ? inOnePiece(draft) : inTwoPieces(draft))}
          data-two-pieces={isOfTwoPieces(draft)}
        >
          {isOfTwoPieces(draft) ? 'The cable is in one piece' : 'The cable is of two pieces'}
        </Button>
      )}
    </Sheet>
  );
};

type OneCableProps = {
  cable: FormProps['draft']['cables'][number];
  named: boolean;
  /** Names that adjusters of the run have already. */
  taken: readonly string[];
  onChange: (adjusters: AdjusterDraft[]) => void;
};

const OneCable = ({ cable, named, taken, onChange }: OneCableProps) => {
  const { adjusters } = cable;
  const another = () => {
    const free = Array.from({ length: 20 }, (_, n) => n + 1).find((n) => !taken.includes(`adjuster_${n}`));
    onChange([...adjusters, emptyAdjuster(free ?? 99)]);
  };
  return (
    <Box marginTop="3">
      {named && <Box fontWeight="bold">{String(cable.kept.name ?? '')}</Box>}
      {adjusters.map((one, n) => (
        <AdjusterFields
          key={one.id}
          adjuster={one}
          onChange={(change) => onChange(adjusters.map((was, place) => (place === n ? { ...was, ...change } : was)))}
          onRemove={() => onChange(adjusters.filter((_, place) => place !== n))}
        />
      ))}
      <Button
        look="quiet"
        size="small"
        marginTop="2"
        disabled={adjusters.length >= 6}
        onClick={another}
        data-add-adjuster
      >
        Add an adjuster
      </Button>
    </Box>
  );
};

/** A closing cable, or the one behind a governor, is part of the control: its play is asked for above. */
const SecondCable = ({ draft, set }: FormProps) => {
  const toAdd = secondToAdd(draft);
  if (toAdd === null && draft.second === null) return null;
  return (
    <Box borderTopWidth="thin" borderColor="line" marginTop="3" paddingTop="3">
      {toAdd !== null ? (
        <Button look="quiet" size="small" onClick={() => set(withSecond(draft))} data-add-second>
          Add the {toAdd.name.toLowerCase()}
        </Button>
      ) : (
        <Button look="quiet" size="small" onClick={() => set(withoutSecond(draft))} data-drop-second>
          Take the second cable out
        </Button>
      )}
    </Box>
  );
};

type AdjusterProps = {
  adjuster: AdjusterDraft;
  onChange: (change: Partial<AdjusterDraft>) => void;
  onRemove?: () => void;
};

/** What an adjuster is: its kind, how it is measured, how it is reached. */
export const AdjusterFields = ({ adjuster, onChange, onRemove }: AdjusterProps) => {
  const by = measuredBy[adjuster.kind as keyof typeof measuredBy] ?? 'nothing';
  const field = (
    label: string,
    key: keyof Omit<AdjusterDraft, 'kept'>,
    kind: 'text' | 'decimal' = 'decimal',
    unit?: string,
  ) => (
    <Entry
      key={key}
      label={label}
      value={adjuster[key]}
      onChange={(value) => onChange({ [key]: value })}
      unit={unit}
      kind={kind}
      most={kind === 'text' ? 60 : 10}
      name={`${adjuster.id}_${key}`}
    />
  );
  return (
    <Box borderTopWidth="thin" borderColor="line" paddingTop="3" marginTop="3" data-adjuster-fields={adjuster.id}>
      <Grid templateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="3">
        {field('Name', 'name', 'text')}
        <Pick label="Kind" value={adjuster.kind} onChange={(kind) => onChange({ kind })} options={kindOptions} />
        {by === 'thread' && (
          <>
            {field('Thread or pitch', 'thread', 'text')}
            {field('Travel', 'travel', 'decimal', 'mm')}
            <Pick
              label="Counted in"
              value={adjuster.counts}
              onChange={(to) => onChange({ counts: to })}
              options={counts}
              name={`${adjuster.id}_counts`}
            />
            {adjuster.counts !== 'turn' && (
              <Entry
                label={adjuster.counts === 'click' ? 'Clicks a turn' : 'Bevels a turn'}
                value={adjuster.perTurn}
                onChange={(perTurn) => onChange({ perTurn })}
                kind="decimal"
                most={4}
                name={`${adjuster.id}_per_turn`}
              />
            )}
          </>
        )}
        {by === 'steps' && [
          field('Each step', 'step', 'decimal', 'mm'),
          field('First step', 'from'),
          field('Last step', 'to'),
        ]}
        {field('Minutes to reach', 'minutes')}
        {field('Under which cover', 'cover', 'text')}
        {field('Tools', 'tools', 'text')}
        {field('Lock torque', 'torque', 'decimal', 'N·m')}
        {field('Outward is called', 'out', 'text')}
        {field('Inward is called', 'in', 'text')}
      </Grid>
      {onRemove !== undefined && (
        <Flex justifyContent="flex-end" marginTop="1">
          <Button look="quiet" size="small" onClick={onRemove}>
            Take {adjuster.name === '' ? 'it' : `the ${adjuster.name}`} out
          </Button>
        </Flex>
      )}
    </Box>
  );
};
