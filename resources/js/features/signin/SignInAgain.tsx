import { type FormEvent, useId, useState } from 'react';
import type { SignedIn } from '../../api/session';
import { Button, Field, FieldLabel } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { useLeave } from '../../lib/signedIn';
import { useSignIn } from './useSignIn';

/** An ended session keeps the screen and everything typed on it. */
export const SignInAgain = ({ person }: { person: SignedIn }) => {
  const leave = useLeave();
  const [password, setPassword] = useState('');
  const signIn = useSignIn();
  const id = useId();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate({ login: person.id, password });
  };
  return (
    <Modal
      open
      must
      onClose={leave}
      title={`${person.name}, sign in again`}
      about="Your session has ended. What you typed is kept and goes on from here."
      actions={
        <>
          <Button type="submit" form={`${id}form`} look="vivid" disabled={signIn.isPending}>
            Sign in
          </Button>
          <Button look="quiet" onClick={leave}>
            I am someone else
          </Button>
        </>
      }
    >
      <form id={`${id}form`} onSubmit={submit}>
        <FieldLabel htmlFor={`${id}password`}>Password of {person.id}</FieldLabel>
        <Field
          id={`${id}password`}
          type="password"
          autoComplete="current-password"
          required
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
        {signIn.isError && <Refusal error={signIn.error} />}
      </form>
    </Modal>
  );
};
