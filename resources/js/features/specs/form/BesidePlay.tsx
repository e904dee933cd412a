import { Box, Flex, Grid } from '@chakra-ui/react';
import { Button } from '../../../components/Buttons';
import type { FormProps } from '../SpecEditScreen';
import { limitKinds, limits } from '../words';
import { SpecEntry } from './SpecEntry';

/** What it must do beside having play: times, speeds, windows, a pull, a pack. */
export const BesidePlay = ({ draft, set }: FormProps) => {
  const there = draft.limits.map((one) => one.kind);
  const left = limitKinds.filter((kind) => !there.includes(kind));
  return (
    <>
      {draft.limits.map((one, n) => (
        <Box key={one.kind} marginTop="3" data-limit={one.kind}>
          <Flex alignItems="center" gap="3" marginBottom="1">
            <b>{limits[one.kind].label}</b>
            <Button
              look="quiet"
              size="small"
              onClick={() => set({ limits: draft.limits.filter((was) => was.kind !== one.kind) })}
            >
              Take it out
            </Button>
          </Flex>
          <Grid templateColumns={{ base: '1fr 1fr', md: 'repeat(3, 1fr)' }} gap="3">
            {limits[one.kind].fields.map((field) => (
              <SpecEntry
                key={field.key}
                field={`limits.${n}.figures.${field.key}`}
                unit={'unit' in field ? field.unit : undefined}
                label={field.must ? field.label : `${field.label}, if known`}
                value={one.figures[field.key] ?? ''}
                kind="decimal"
                most={10}
                onChange={(value) =>
                  set({
                    limits: draft.limits.map((was, at) =>
                      at === n ? { ...was, figures: { ...was.figures, [field.key]: value } } : was,
                    ),
                  })
                }
              />
            ))}
          </Grid>
        </Box>
      ))}
      <Flex gap="2" flexWrap="wrap" marginTop="3">
        {left.map((kind) => (
          <Button
            key={kind}
            look="quiet"
            size="small"
            onClick={() => set({ limits: [...draft.limits, { kind, figures: {} }] })}
            data-add-limit={kind}
          >
            {limits[kind].label}
          </Button>
        ))}
      </Flex>
    </>
  );
};
