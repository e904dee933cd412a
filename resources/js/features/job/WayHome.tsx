import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Button } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { useBench } from './useBench';

/** What brings every adjuster back to where it was found. */
export const WayHome = () => {
  const { state, send, mayWrite } = useBench();
  const [open, setOpen] = useState(false);
  if (state.way_home.length === 0) return null;
  const goHome = () => {
    for (const leg of state.way_home) if (leg.body !== null) send({ kind: 'move', body: leg.body });
    setOpen(false);
  };
  const known = state.way_home.every((leg) => leg.body !== null);
  return (
    <Box fontSize="sm" lineHeight="snug" color="soft" data-way-home>
      Home mark kept.{' '}
      {mayWrite ? (
        <Button look="link" paddingInline="0" minHeight="7" onClick={() => setOpen(true)}>
          Back to as found
        </Button>
      ) : (
        'Back to as found:'
      )}
      {state.way_home.map((leg) => (
        <Box key={leg.adjuster}>
          {leg.name} {leg.say ?? 'was turned uncounted: measure its thread'}
        </Box>
      ))}
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="Back to as found"
        about={
          known
            ? 'Turn these, then say so. Your reading is due again after.'
            : 'Turn these. What was turned uncounted is measured first.'
        }
        cancel="Cancel"
        actions={
          mayWrite &&
          known && (
            <Button look="vivid" onClick={goHome} data-primary>
              Turned back
            </Button>
          )
        }
      >
        <ul>
          {state.way_home.map((leg) => (
            <Box as="li" key={leg.adjuster} fontFamily="heading" fontWeight="bold" fontSize="xl" color="ink">
              {leg.name} {leg.say ?? 'was turned uncounted: measure its thread'}
            </Box>
          ))}
        </ul>
      </Modal>
    </Box>
  );
};
