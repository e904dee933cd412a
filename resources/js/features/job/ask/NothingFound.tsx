import { Button } from '../../../components/Buttons';
import { useArmed } from '../useArmed';
import { useBench } from '../useBench';

/** Looked at, and nothing is wrong there: everything is read and tried anew, for something may have been misread. */
export const NothingFound = ({ says }: { says: string }) => {
  const { state, send } = useBench();
  const armed = useArmed(state.head);
  return (
    <Button
      look="plain"
      justifyContent="flex-start"
      whiteSpace="normal"
      onClick={() => send({ kind: 'nothing_found', body: {} })}
      disabled={!armed}
      data-nothing-found
    >
      {says}
    </Button>
  );
};
