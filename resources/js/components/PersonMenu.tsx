import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { signOut } from '../api/session';
import { outbox } from '../lib/outbox';
import { prefer, preferencesOf } from '../lib/preferences';
import { tellTabs } from '../lib/sessionNews';
import { useLeave, useSignedIn } from '../lib/signedIn';
import { useKept } from '../lib/store';
import { forgetAnswers } from '../offline/register';
import { Button, FieldLabel, LinkButton } from './Buttons';
import { Checked } from './Checked';
import { Modal } from './Modal';
import { PickOne } from './PickOne';
import { ShowPassword } from './ShowPassword';
import { TakeOver } from './TakeOver';
import { UnitChoices } from './UnitChoices';

const themes = [
  { key: 'auto', label: 'As the device' },
  { key: 'day', label: 'Day' },
  { key: 'night', label: 'Night' },
] as const;
const hands = [
  { key: 'right', label: 'Right' },
  { key: 'left', label: 'Left' },
] as const;

/** Who is at the bench, what they set on this device, and the way out. */
export const PersonMenu = () => {
  const leave = useLeave();
  const person = useSignedIn();
  const [open, setOpen] = useState(false);
  const preferences = preferencesOf(person.id);
  const { keysAnywhere, theme, hand, speaks } = useKept(preferences);
  const waiting = useKept(outbox.entries).filter((entry) => entry.by === person.id).length;
  const signOutHere = async () => {
    await signOut();
    forgetAnswers();
    tellTabs();
    leave();
  };
  return (
    <>
      <Button
        look="frame"
        size="small"
        onClick={() => setOpen(true)}
        aria-haspopup="dialog"
        aria-label={`${person.name}: settings and sign-out`}
      >
        <chakra.span display={{ base: 'none', md: 'inline' }}>{person.name}</chakra.span>
        <chakra.span display={{ base: 'inline', md: 'none' }} aria-hidden="true">
          {person.name.charAt(0)}
        </chakra.span>
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title={person.name}
        about={`Signed in as ${person.role}.`}
        cancel="Close"
        atOnce
        actions={
          <Button look="plain" onClick={signOutHere}>
            Sign out
          </Button>
        }
      >
        {person.asks_password && <ShowPassword onDone={() => setOpen(false)} />}
        <TakeOver onDone={() => setOpen(false)} />
        <Flex gap="3" flexWrap="wrap" marginBlock="4">
          <LinkButton to="/shop" look="quiet" textDecoration="none" onClick={() => setOpen(false)}>
            People and data of the shop
          </LinkButton>
        </Flex>
        <UnitChoices whose="person" />
        <Grid templateColumns="auto 1fr" columnGap="3" rowGap="2" alignItems="center" marginBottom="3">
          <FieldLabel as="div" marginBottom="0">
            Screen
          </FieldLabel>
          <PickOne
            says="Screen"
            mark="theme"
            options={themes}
            value={theme}
            onPick={(key) => prefer(person.id, { theme: key as typeof theme })}
          />
          <FieldLabel as="div" marginBottom="0">
            Hand
          </FieldLabel>
          <PickOne
            says="Hand"
            mark="hand"
            options={hands}
            value={hand}
            onPick={(key) => prefer(person.id, { hand: key as typeof hand })}
          />
        </Grid>
        <Checked
          about="A figure or a letter typed with the cursor nowhere starts the bench line. Switch it off if keys are pressed by accident."
          checked={keysAnywhere}
          onChange={(on) => prefer(person.id, { keysAnywhere: on })}
        >
          Keys work anywhere on a job
        </Checked>
        <Checked
          about="On a job, what comes next is spoken when it changes."
          checked={speaks}
          onChange={(on) => prefer(person.id, { speaks: on })}
        >
          Say the next move aloud
        </Checked>
        {waiting > 0 && (
          <Box bg="violet.wash" borderRadius="sm" padding="3" marginTop="4">
            {waiting === 1 ? 'One entry of yours is' : `${waiting} entries of yours are`} not sent yet. They stay on
            this device and go out when you are back.
          </Box>
        )}
      </Modal>
    </>
  );
};
