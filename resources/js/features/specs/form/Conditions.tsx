import { Box, Grid } from '@chakra-ui/react';
import { FieldLabel } from '../../../components/Buttons';
import { Pick } from '../../../components/Entry';
import { PickOne } from '../../../components/PickOne';
import type { FormProps } from '../SpecEditScreen';
import { engines, isOnBars, policies, poses, rules, standing } from '../words';
import { SpecEntry } from './SpecEntry';

const whichPoses = [
  { key: 'straight', label: 'Straight only' },
  { key: 'all', label: 'Left, straight and right' },
] as const;

/** The state in which the figure holds, and how it is aimed for. */
export const Conditions = ({ draft, set }: FormProps) => (
  <>
    <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="3">
      <Pick label="Engine" value={draft.engine} onChange={(engine) => set({ engine })} options={engines} />
      <Pick label="Machine stands" value={draft.wheels} onChange={(wheels) => set({ wheels })} options={standing} />
      <Pick label="Aim for" value={draft.policy} onChange={(policy) => set({ policy })} options={policies} />
      <Pick label="Verdict" value={draft.rule} onChange={(rule) => set({ rule })} options={rules} />
      <SpecEntry
        label="Minutes the job takes"
        value={draft.minutes}
        onChange={(minutes) => set({ minutes })}
        kind="whole"
        most={3}
        field="minutes"
        name="minutes"
      />
    </Grid>
    {isOnBars(draft.hand.kind) && (
      <Box marginTop="3">
        <FieldLabel as="div">Bars</FieldLabel>
        {draft.hand.kind === 'grip' ? (
          <Box lineHeight="snug" data-all-poses>
            A grip is read and proved with the bars left, straight and right, always.
          </Box>
        ) : (
          <PickOne
            says="Poses of the bars"
            mark="poses"
            options={whichPoses}
            value={draft.poses.length > 1 ? 'all' : 'straight'}
            onPick={(key) => set({ poses: key === 'all' ? poses.map((pose) => pose.key) : ['straight'] })}
          />
        )}
      </Box>
    )}
  </>
);
