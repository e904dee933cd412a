import { Flex } from '@chakra-ui/react';
import { lazy, useState } from 'react';
import type { Machine } from '../../api/machines';
import { Button, LinkButton, Paper } from '../../components/Buttons';
import { Fetched } from '../../components/Fetched';
import { useSignedIn } from '../../lib/signedIn';
import { ReportDialog } from './ReportDialog';

const dialogs = {
  meter: lazy(() => import('./MeterDialog')),
  report: ReportDialog,
  keep: lazy(() => import('./KeepDialog')),
} as const;

/** What is done to the machine itself. */
export const MachineActions = ({ machine }: { machine: Machine }) => {
  const person = useSignedIn();
  const [open, setOpen] = useState<keyof typeof dialogs | null>(null);
  const Open = open === null ? null : dialogs[open];
  return (
    <Flex gap="2" flexWrap="wrap" marginLeft={{ md: 'auto' }} data-screen-only>
      {person.may_log && (
        <>
          <Button look="plain" onClick={() => setOpen('report')} data-report>
            Something feels odd
          </Button>
          <Button look="plain" onClick={() => setOpen('meter')} data-meter>
            Read the meter
          </Button>
        </>
      )}
      <LinkButton to={`/machines/${encodeURIComponent(machine.tag)}/label`} look="quiet" textDecoration="none">
        Tag label
      </LinkButton>
      <Paper href={`/api/machines/${encodeURIComponent(machine.tag)}/sheet`} look="quiet" textDecoration="none">
        History
      </Paper>
      {person.may_keep_shop && (
        <Button look="quiet" onClick={() => setOpen('keep')} data-keep>
          Change
        </Button>
      )}
      {Open !== null && (
        <Fetched onClose={() => setOpen(null)}>
          <Open machine={machine} onClose={() => setOpen(null)} />
        </Fetched>
      )}
    </Flex>
  );
};
