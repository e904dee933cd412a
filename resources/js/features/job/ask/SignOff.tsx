import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { useSignedIn } from '../../../lib/signedIn';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';
import { SignCheck } from './CheckCards';
import { HangTag } from './HangTag';
import { LiftTag } from './LiftTag';

/** The signature: how the job ends, or what still stands in the way. */
export const SignOff = () => {
  const { state, send } = useBench();
  const person = useSignedIn();
  const [nextCheck, setNextCheck] = useState('');
  const outcome =
    state.by_choice !== null && state.closing.by_choice.length === 0 && state.closing.fit.length > 0
      ? 'by_choice'
      : 'fit';
  const missing = outcome === 'fit' ? state.closing.fit : [];
  const sign = () =>
    send({ kind: 'closed', body: { outcome, ...(nextCheck === '' ? {} : { next_check: nextCheck }) } });
  if (state.tag !== null) return <LiftTag />;
  if (state.check?.on === true && state.closing.checked.length === 0) return <SignCheck />;
  if (missing.length > 0) {
    return (
      <AskCard eyebrow="Sign the job" title="Not fit for use yet">
        <Box asChild listStyleType="disc" paddingLeft="5" lineHeight="snug">
          <ul>
            {missing.slice(0, 6).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
            {missing.length > 6 && <li>and {missing.length - 6} more.</li>}
          </ul>
        </Box>
        <HangTag />
      </AskCard>
    );
  }
  return (
    <AskCard eyebrow="Sign the job" title={outcome === 'fit' ? 'Fit for use' : 'Left outside by choice'}>
      <Box lineHeight="snug">
        {outcome === 'fit' ? state.now.sentence : state.by_choice}. Your name and the time go on the sheet.
      </Box>
      <Box>
        <FieldLabel htmlFor="next-check">Next check, if you want it on a day</FieldLabel>
        <Field id="next-check" type="date" value={nextCheck} onChange={(event) => setNextCheck(event.target.value)} />
      </Box>
      {person.may_sign_off ? (
        <Button look="vivid" size="tall" onClick={sign} data-primary data-close={outcome}>
          Sign as {outcome === 'fit' ? 'fit for use' : 'outside by choice'}
        </Button>
      ) : (
        <Box fontWeight="bold">
          {person.name} signs as {person.role}. Ask a technician or a lead to sign off.
        </Box>
      )}
    </AskCard>
  );
};
