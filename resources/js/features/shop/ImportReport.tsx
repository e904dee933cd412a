import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { forgetImport, type ImportFile, importQuery, runImport } from '../../api/exchange';
import { Button } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { Refusal } from '../../components/Refusal';
import { counted } from '../../lib/figures';

const during = {
  waiting: 'It waits its turn.',
  checking: 'Every line is considered.',
  running: 'It is being taken in.',
} as const;

const lines = (n: number) => (n === 1 ? '1 line' : `${counted(n)} lines`);

/** What a file would bring, which lines cannot be taken and why, and the way to go on. */
export const ImportReport = ({ file, onDone }: { file: ImportFile; onDone: () => void }) => {
  const client = useQueryClient();
  const run = useMutation({
    mutationFn: (without: boolean) => runImport(file.id, without),
    onSuccess: (after) => {
      client.setQueryData(importQuery(file.id).queryKey, after);
      void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
    },
  });
  const forget = useMutation({ mutationFn: () => forgetImport(file.id), onSuccess: onDone });
  if (file.state === 'waiting' || file.state === 'checking' || file.state === 'running') {
    return (
      <Box role="status" marginTop="3" data-import={file.state}>
        {during[file.state]} {file.done > 0 && `${lines(file.done)} so far.`}
      </Box>
    );
  }
  return (
    <Box marginTop="3" data-import={file.state}>
      <Box fontWeight="bold">{file.name}</Box>
      {file.state === 'failed' && (
        <Box bg="red.wash" borderRadius="sm" padding="3" marginTop="2" role="alert">
          {file.sentence}
        </Box>
      )}
      {file.state === 'done' && (
        <Flex gap="2" alignItems="center" marginTop="2" role="status">
          <Mark kind="inside" />
          Taken in: {lines(file.new)}.
        </Flex>
      )}
      {file.state === 'checked' && (
        <>
          <Flex gap="2" alignItems="center" marginTop="2">
            <Mark kind={file.new > 0 ? 'next' : 'quiet'} />
            {file.new > 0 ? `${lines(file.new)} to take in` : 'Nothing new'}
            {file.standing > 0 && `, ${lines(file.standing)} here already`}
          </Flex>
          {file.rejected_in_all > 0 && <Rejected file={file} />}
          <Flex gap="2" flexWrap="wrap" marginTop="3">
            {file.new > 0 && (
              <Button
                look="vivid"
                onClick={() => run.mutate(file.rejected_in_all > 0)}
                disabled={run.isPending}
                data-run
              >
                {file.rejected_in_all > 0 ? `Take in ${lines(file.new)} without them` : `Take in ${lines(file.new)}`}
              </Button>
            )}
            <Button look="quiet" onClick={() => forget.mutate()}>
              Cancel
            </Button>
          </Flex>
        </>
      )}
      {run.isError && <Refusal error={run.error} />}
    </Box>
  );
};

const Rejected = ({ file }: { file: ImportFile }) => (
  <Box bg="amber.wash" borderRadius="sm" padding="3" marginTop="2" role="alert" data-rejected={file.rejected_in_all}>
    <b>{lines(file.rejected_in_all)} cannot be taken</b>
    <Box maxHeight="64" overflowY="auto" marginTop="1" tabIndex={0} role="region" aria-label="Lines left out">
      {file.rejected.map((one) => (
        <Box key={one.place} lineHeight="snug" marginTop="1">
          <b>{one.place}</b>: {one.why}
        </Box>
      ))}
    </Box>
    {file.rejected.length < file.rejected_in_all && (
      <Box textStyle="small">The first {file.rejected.length} are named here.</Box>
    )}
  </Box>
);
