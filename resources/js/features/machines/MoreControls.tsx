import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { Machine } from '../../api/machines';
import { LinkButton, Sheet } from '../../components/Buttons';
import { useSignedIn } from '../../lib/signedIn';
import { useLacking } from './useLacking';

/** The way to another control, and what of the library waits for somebody before it hangs here. */
export const MoreControls = ({ machine }: { machine: Machine }) => {
  const person = useSignedIn();
  const lacking = useLacking(machine, person.may_sign_off) ?? [];
  const waiting = lacking.filter((spec) => spec.draft);
  const isBare = machine.controls.length === 0;
  if (machine.retired || (!person.may_sign_off && !isBare)) return null;
  return (
    <>
      {isBare && (
        <Sheet padding="4" role="status" data-bare>
          <b>No control yet.</b> {person.may_sign_off ? 'Add the first.' : 'A technician or a lead adds it.'}
        </Sheet>
      )}
      {person.may_sign_off && (
        <LinkButton
          to={`/machines/${encodeURIComponent(machine.tag)}/add`}
          look={isBare ? 'vivid' : 'quiet'}
          textDecoration="none"
          data-add-control-link
        >
          Add a control
        </LinkButton>
      )}
      {waiting.map((spec) => (
        <Box key={spec.id} textStyle="small" data-waiting={spec.control}>
          <Link to={`/specs/${spec.id}`}>{spec.name}</Link> is a draft
          {spec.entered_by !== null && ` of ${spec.entered_by}`}: it comes here when it is whole and checked.
        </Box>
      ))}
    </>
  );
};
