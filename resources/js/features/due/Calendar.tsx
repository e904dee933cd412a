import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { dueQuery, subscribe, unsubscribe } from '../../api/due';
import { Button, Field, FieldLabel } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';

/** Due dates in any calendar: an address of one's own, shown once. */
export const Calendar = ({ subscribed }: { subscribed: boolean }) => {
  const [open, setOpen] = useState(false);
  const client = useQueryClient();
  const known = () => void client.invalidateQueries({ queryKey: dueQuery.queryKey });
  const make = useMutation({ mutationFn: subscribe, onSuccess: known });
  const stop = useMutation({ mutationFn: unsubscribe, onSuccess: known });
  const address = make.data === undefined ? null : `${window.location.origin}${make.data.path}`;
  return (
    <>
      <Button look="plain" onClick={() => setOpen(true)} data-calendar data-screen-only>
        In a calendar
      </Button>
      <Modal
        open={open}
        onClose={() => {
          setOpen(false);
          make.reset();
        }}
        title="Due dates in a calendar"
        about="Any calendar that subscribes to an address shows them and keeps them current. Whoever has the address reads due dates and nothing else."
        cancel="Cancel"
        actions={
          <>
            <Button look="vivid" onClick={() => make.mutate()} disabled={make.isPending} data-primary>
              {subscribed ? 'Make another address' : 'Make an address'}
            </Button>
            {subscribed && (
              <Button look="plain" onClick={() => stop.mutate()} disabled={stop.isPending}>
                Put it out of use
              </Button>
            )}
          </>
        }
      >
        {address !== null && (
          <Box>
            <FieldLabel htmlFor="calendar-address">Copy it now: it is shown only once</FieldLabel>
            <Flex gap="2">
              <Field id="calendar-address" readOnly value={address} onFocus={(event) => event.currentTarget.select()} />
            </Flex>
          </Box>
        )}
        {address === null && subscribed && (
          <Box color="soft">You have one. Another puts the one before out of use.</Box>
        )}
        {(make.isError || stop.isError) && <Refusal error={make.error ?? stop.error} />}
      </Modal>
    </>
  );
};
