import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { startingQuery } from '../../../api/specs';
import { Button } from '../../../components/Buttons';
import { Pick } from '../../../components/Entry';
import type { FormProps } from '../SpecEditScreen';
import { meterUnits } from '../words';
import { SpecEntry, SpecPick } from './SpecEntry';

/** What the book says beside its figures: how often, how tight, what else to try. */
export const BookAdds = ({ draft, set }: FormProps) => {
  return (
    <>
      <Grid templateColumns={{ base: '1fr 1fr', md: '{sizes.32} {sizes.28} {sizes.32}' }} gap="3">
        <SpecEntry
          label="Check every"
          value={draft.use}
          onChange={(use) => set({ use })}
          kind="decimal"
          most={9}
          field="use"
          name="use"
        />
        <Pick label="of" value={draft.unit} onChange={(unit) => set({ unit })} options={meterUnits} />
        <SpecEntry
          label="or months"
          value={draft.months}
          onChange={(months) => set({ months })}
          kind="whole"
          most={3}
          field="months"
          name="months"
        />
      </Grid>
      {draft.cables.some((cable) => cable.adjusters.some((one) => one.kind.startsWith('push_rod'))) && (
        <Box marginTop="3">
          <SpecEntry
            label="Back the push rod off by"
            value={draft.backOff}
            onChange={(backOff) => set({ backOff })}
            most={60}
            field="backOff"
            name="back-off"
          />
        </Box>
      )}
      <Torques draft={draft} set={set} />
      <Tools draft={draft} set={set} />
      {draft.proofs.map((one, n) => (
        <SpecEntry
          // biome-ignore lint/suspicious/noArrayIndexKey: rows are only added and rubbed out at their place
          key={n}
          field={`proofs.${n}`}
          label="Try before the job may end, answered yes or no"
          value={one}
          onChange={(value) => set({ proofs: draft.proofs.map((was, at) => (at === n ? value : was)) })}
          most={120}
        />
      ))}
      <More draft={draft} set={set} />
    </>
  );
};

const Torques = ({ draft, set }: FormProps) => {
  const torque = (n: number, change: Partial<{ what: string; nm: string }>) =>
    set({ torques: draft.torques.map((one, at) => (at === n ? { ...one, ...change } : one)) });
  return (
    <>
      {draft.torques.map((one, n) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows are only added and rubbed out at their place
        <Grid key={n} templateColumns="1fr {sizes.28}" gap="3" marginTop="3">
          <SpecEntry
            field={`torques.${n}.what`}
            label="Torque of"
            value={one.what}
            onChange={(what) => torque(n, { what })}
            most={80}
          />
          <SpecEntry
            field={`torques.${n}.nm`}
            label="Is"
            unit="N·m"
            value={one.nm}
            onChange={(nm) => torque(n, { nm })}
            kind="decimal"
            most={8}
          />
        </Grid>
      ))}
    </>
  );
};

const Tools = ({ draft, set }: FormProps) => {
  const { data: starting } = useQuery(startingQuery(draft.family));
  const steps = [{ key: '', label: 'Choose the step' }, ...(starting?.replacing ?? [])];
  const tool = (n: number, change: Partial<{ step: string; what: string }>) =>
    set({ tools: draft.tools.map((one, at) => (at === n ? { ...one, ...change } : one)) });
  return (
    <>
      {draft.tools.map((one, n) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows are only added and rubbed out at their place
        <Grid key={n} templateColumns={{ base: '1fr', md: '1.4fr 1fr' }} gap="3" marginTop="3">
          <SpecPick
            field={`tools.${n}.step`}
            label="Replacing the cable: step"
            value={one.step}
            onChange={(step) => tool(n, { step })}
            options={steps}
            name={`tools_${n}_step`}
          />
          <SpecEntry
            field={`tools.${n}.what`}
            label="Its tools"
            value={one.what}
            onChange={(what) => tool(n, { what })}
            most={100}
            name={`tools_${n}_what`}
          />
        </Grid>
      ))}
    </>
  );
};

const More = ({ draft, set }: FormProps) => (
  <Flex gap="2" flexWrap="wrap" marginTop="3">
    <Button
      look="quiet"
      size="small"
      onClick={() => set({ torques: [...draft.torques, { what: '', nm: '' }] })}
      disabled={draft.torques.length >= 20}
    >
      Add a torque
    </Button>
    <Button
      look="quiet"
      size="small"
      onClick={() => set({ proofs: [...draft.proofs, ''] })}
      disabled={draft.proofs.length >= 10}
    >
      Add a proof
    </Button>
    <Button
      look="quiet"
      size="small"
      onClick={() => set({ tools: [...draft.tools, { step: '', what: '' }] })}
      disabled={draft.tools.length >= 20}
      data-add-tools
    >
      Add tools for replacing
    </Button>
  </Flex>
);
