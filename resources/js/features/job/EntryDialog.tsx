import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { LogRow } from '../../api/jobs';
import { Button, Field, FieldLabel } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { typedIn, unitText } from '../../lib/figures';
import { clock } from '../../lib/time';
import { useBench } from './useBench';

/** One entry: take it back, or put it right at its place; both need a reason, and both stay in the log. */
export const EntryDialog = ({ row, onClose }: { row: LogRow; onClose: () => void }) => {
  const { send, state } = useBench();
  // A bare number is in the units of whoever types it, as it is on the bench line.
  const unit =
    row.kind === 'reading' ? 'mm' : (state.beside.measures.find((one) => row.what.startsWith(one.label))?.unit ?? '');
  const [reason, setReason] = useState('');
  const [line, setLine] = useState('');
  const amending = row.can_amend && line.trim() !== '';
  const log = () => {
    send(
      amending
        ? { kind: 'amend', body: { entry: row.id, line: typedIn(line.trim(), unit), reason: reason.trim() } }
        : { kind: 'void', body: { entry: row.id, reason: reason.trim() } },
    );
    onClose();
  };
  return (
    <Modal
      open
      onClose={onClose}
      title={row.what}
      about={`Logged ${clock(row.at)} by ${row.by}. It stays in the log, with your reason.`}
      actions={
        <>
          {row.can_uphold && (
            <Button
              look="vivid"
              onClick={() => {
                send({ kind: 'upheld', body: { reading: row.id } });
                onClose();
              }}
              data-uphold
            >
              It is right
            </Button>
          )}
          <Button
            look={amending ? 'vivid' : 'plain'}
            onClick={log}
            disabled={reason.trim() === '' || (!amending && !row.can_void)}
            data-primary
          >
            {amending ? 'Put it right' : 'Take it back'}
          </Button>
        </>
      }
    >
      <Flex direction="column" gap="3">
        {row.can_amend && (
          <Box>
            <FieldLabel htmlFor="amend-line">What it should have said</FieldLabel>
            <Field
              id="amend-line"
              value={line}
              onChange={(event) => setLine(event.target.value)}
              placeholder={row.kind === 'move' ? '+1t2f' : unit === '' ? '' : unitText(unit)}
              autoComplete="off"
            />
            <Box textStyle="small" marginTop="1">
              Left empty, the entry is taken back.
            </Box>
          </Box>
        )}
        <Box>
          <FieldLabel htmlFor="change-reason">Reason</FieldLabel>
          <Field
            id="change-reason"
            value={reason}
            maxLength={500}
            onChange={(event) => setReason(event.target.value)}
            placeholder="misread the rule"
            autoComplete="off"
          />
        </Box>
      </Flex>
    </Modal>
  );
};
