import { Box, Flex, Grid } from '@chakra-ui/react';
import { Button } from '../../../components/Buttons';
import { Pick } from '../../../components/Entry';
import type { AdjusterDraft } from '../draft';
import { counts, kindOptions, measuredBy } from '../words';
import { SpecEntry, useOpening } from './SpecEntry';

/** Threads that adjusters of cables mostly have (ISO 261, coarse and fine): offered to tap, never filled in. */
const threads = ['M6 x 1', 'M8 x 1.25', 'M10 x 1.25'];

/** Fields that lie behind. */
const reached = ['perTurn', 'minutes', 'cover', 'tools', 'torque', 'out', 'in'];

type AdjusterProps = {
  adjuster: AdjusterDraft;
  onChange: (change: Partial<AdjusterDraft>) => void;
  /** Whether all its fields stand open from the beginning. */
  whole?: boolean;
};

/** What an adjuster is: its kind and how it is measured; how it is reached and what it is called lies behind. */
export const AdjusterFields = ({ adjuster, onChange, whole = false }: AdjusterProps) => {
  const by = measuredBy[adjuster.kind as keyof typeof measuredBy] ?? 'nothing';
  const [more, setMore] = useOpening(reached, whole);
  const form = { adjuster, onChange };
  return (
    <Box data-adjuster-fields={adjuster.id}>
      <Grid templateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="3">
        <Pick label="Kind" value={adjuster.kind} onChange={(kind) => onChange({ kind })} options={kindOptions} />
        <One {...form} label="Name" field="name" kind="text" />
        {by === 'thread' && (
          <>
            <One {...form} label="Thread or pitch" field="thread" kind="text" />
            <One {...form} label="Travel" field="travel" unit="mm" />
          </>
        )}
        {by === 'steps' && (
          <>
            <One {...form} label="Each step" field="step" unit="mm" />
            <Grid templateColumns="1fr 1fr" gap="2">
              <One {...form} label="First step" field="from" />
              <One {...form} label="Last step" field="to" />
            </Grid>
          </>
        )}
      </Grid>
      {by === 'thread' && adjuster.thread === '' && (
        <Flex gap="2" marginTop="2" flexWrap="wrap" role="group" aria-label="Usual threads">
          {threads.map((thread) => (
            <Button key={thread} look="quiet" size="small" onClick={() => onChange({ thread })} data-thread={thread}>
              {thread}
            </Button>
          ))}
        </Flex>
      )}
      {!more && (
        <Button look="link" paddingInline="0" onClick={() => setMore(true)} data-more={adjuster.id}>
          How it is reached, counted and called
        </Button>
      )}
      {more && <Reached {...form} />}
    </Box>
  );
};

type Form = Pick<AdjusterProps, 'adjuster' | 'onChange'>;

type OneProps = Form & {
  label: string;
  field: keyof Omit<AdjusterDraft, 'kept'>;
  kind?: 'text' | 'decimal';
  unit?: string;
};

const One = ({ adjuster, onChange, label, field, kind = 'decimal', unit }: OneProps) => (
  <SpecEntry
    field={field}
    label={label}
    value={adjuster[field]}
    onChange={(value) => onChange({ [field]: value })}
    unit={unit}
    kind={kind}
    most={kind === 'text' ? 60 : 10}
    name={`${adjuster.id}_${field}`}
  />
);

const Reached = ({ adjuster, onChange }: Form) => {
  const form = { adjuster, onChange };
  const by = measuredBy[adjuster.kind as keyof typeof measuredBy] ?? 'nothing';
  return (
    <Grid templateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="3" marginTop="3">
      {by === 'thread' && (
        <Pick
          label="Counted in"
          value={adjuster.counts}
          onChange={(to) => onChange({ counts: to })}
          options={counts}
          name={`${adjuster.id}_counts`}
        />
      )}
      {by === 'thread' && adjuster.counts !== 'turn' && (
        <SpecEntry
          field="perTurn"
          label={adjuster.counts === 'click' ? 'Clicks a turn' : 'Bevels a turn'}
          value={adjuster.perTurn}
          onChange={(perTurn) => onChange({ perTurn })}
          kind="decimal"
          most={4}
          name={`${adjuster.id}_per_turn`}
        />
      )}
      <One {...form} label="Minutes to reach" field="minutes" />
      <One {...form} label="Under which cover" field="cover" kind="text" />
      <One {...form} label="Tools" field="tools" kind="text" />
      <One {...form} label="Lock torque" field="torque" unit="N·m" />
      <One {...form} label="Outward is called" field="out" kind="text" />
      <One {...form} label="Inward is called" field="in" kind="text" />
    </Grid>
  );
};
