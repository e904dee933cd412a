import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { fittingQuery } from '../../../api/cables';
import type { Item } from '../../../api/jobs';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { Pick } from '../../../components/Entry';
import { isNoSize, lengthTyped, lengthUnit, quantity } from '../../../lib/figures';
import { SideBySide } from '../../cables/MatchSays';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';

const fields = [
  { key: 'old_wire_mm', label: 'Old: wire showing', needed: false },
  { key: 'new_wire_mm', label: 'New: wire showing', needed: true },
  { key: 'old_conduit_mm', label: 'Old: conduit', needed: false },
  { key: 'new_conduit_mm', label: 'New: conduit', needed: false },
] as const;

type Key = (typeof fields)[number]['key'];

/** Old and new side by side: far end seated, conduit straight, adjusters in. */
export const AskCompare = ({ item }: { item: Item }) => {
  const { send } = useBench();
  const [typed, setTyped] = useState<Partial<Record<Key, string>>>({});
  const [alike, setAlike] = useState<boolean | null>(null);
  const wrong = fields.filter(({ key }) => isNoSize(typed[key] ?? ''));
  const ready = quantity(typed.new_wire_mm ?? '') !== undefined && alike !== null && wrong.length === 0;
  const log = () => {
    const lengths = Object.fromEntries(
      fields.flatMap(({ key }) => {
        const size = lengthTyped(typed[key] ?? '');
        return size === undefined ? [] : [[key, size]];
      }),
    );
    send({ kind: 'compared', body: { ...lengths, ends_alike: alike } });
  };
  return (
    <AskCard eyebrow="Replace the cable" title={item.label}>
      <SideBySide />
      <Box lineHeight="snug" fontSize="sm">
        Far end seated, conduit straight, adjusters in: how much wire shows at the near end. A bare number is in{' '}
        {lengthUnit()}.
      </Box>
      {item.caution !== null && <Caution compact>{item.caution}</Caution>}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (ready) log();
        }}
      >
        <Grid templateColumns="1fr 1fr" gap="2">
          {fields.map(({ key, label, needed }) => (
            <Box key={key}>
              <FieldLabel htmlFor={key}>{label}</FieldLabel>
              <Field
                id={key}
                inputMode="decimal"
                value={typed[key] ?? ''}
                onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
                aria-invalid={wrong.some((one) => one.key === key)}
                placeholder={needed ? lengthUnit() : `${lengthUnit()}, if it can be told`}
              />
            </Box>
          ))}
        </Grid>
        <FromTheBook onPick={(sizes) => setTyped({ ...typed, ...sizes })} />
        {wrong.length > 0 && (
          <Box bg="red.wash" borderRadius="sm" padding="2" marginTop="2" fontSize="sm" role="alert">
            {wrong[0]?.label}: type a size, such as 84.5 or 3 5/16 in.
          </Box>
        )}
        <FieldLabel as="div" marginTop="3">
          Ends of one kind?
        </FieldLabel>
        <Flex gap="2" role="group" aria-label="Ends of one kind">
          {[true, false].map((one) => (
            <Button
              key={String(one)}
              look={alike === one ? 'dark' : 'plain'}
              aria-pressed={alike === one}
              flex="1"
              onClick={() => setAlike(one)}
              data-ends={one ? 'alike' : 'other'}
            >
              {one ? 'Alike' : 'Different'}
            </Button>
          ))}
        </Flex>
        <Button type="submit" look="vivid" size="tall" width="100%" marginTop="3" disabled={!ready} data-primary>
          Compare
        </Button>
      </form>
    </AskCard>
  );
};

/** With its unit, whatever its reader reads: what a field holds is read as it is typed. */
const inMm = (size: number | null) => (size === null ? '' : `${size} mm`);

/** What was measured of either cable before is not measured again. */
const FromTheBook = ({ onPick }: { onPick: (sizes: Partial<Record<Key, string>>) => void }) => {
  const { job } = useBench();
  const [picked, setPicked] = useState('');
  const { data } = useQuery(fittingQuery(job.machine.tag, job.control.key));
  const on = data?.on ?? null;
  const cables = data?.cables ?? [];
  if (on === null && cables.length === 0) return null;
  return (
    <Grid templateColumns="1fr 1fr" gap="2" marginTop="2" alignItems="end">
      {on === null ? (
        <span />
      ) : (
        <Button
          look="quiet"
          size="small"
          onClick={() => onPick({ old_wire_mm: inMm(on.wire_mm), old_conduit_mm: inMm(on.conduit_mm) })}
          data-old-known
        >
          Old: as measured
        </Button>
      )}
      {cables.length > 0 && (
        <Pick
          label="New: from the book"
          value={picked}
          onChange={(id) => {
            setPicked(id);
            const cable = cables.find((one) => one.id === id);
            if (cable !== undefined) {
              onPick({ new_wire_mm: inMm(cable.wire_mm), new_conduit_mm: inMm(cable.conduit_mm) });
            }
          }}
          options={[
            { key: '', label: 'Measured now' },
            ...cables.map((one) => ({ key: one.id, label: [one.number, one.name].filter(Boolean).join(', ') })),
          ]}
          name="new-known"
        />
      )}
    </Grid>
  );
};
