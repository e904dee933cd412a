import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { type FormEvent, useId, useState } from 'react';
import type { DemoPerson } from '../../api/session';
import { Brand } from '../../components/Brand';
import { Button, Field, FieldLabel, Sheet } from '../../components/Buttons';
import { Refusal } from '../../components/Refusal';
import { paint } from '../../theme/paint';
import { useSignIn } from './useSignIn';

export const SignIn = ({ demo }: { demo: readonly DemoPerson[] }) => {
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useSignIn();
  const ids = useId();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate({ login: login.trim(), password });
  };
  return (
    <Box
      as="main"
      minHeight="100dvh"
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: '1.1fr 1fr' }}
      gridTemplateRows={{ base: 'auto 1fr', lg: '1fr' }}
    >
      <Front />
      <Flex alignItems={{ base: 'flex-start', lg: 'center' }} justifyContent="center" padding={{ base: '5', lg: '8' }}>
        <Box width="100%" maxWidth="104">
          <Sheet padding="6">
            <Heading as="h2" fontSize="xl" marginBottom="5">
              Sign in
            </Heading>
            <form onSubmit={submit}>
              <FieldLabel htmlFor={`${ids}login`}>Name</FieldLabel>
              <Field
                id={`${ids}login`}
                name="login"
                autoComplete="username"
                autoCapitalize="none"
                spellCheck={false}
                required
                autoFocus
                value={login}
                onChange={(e) => setLogin(e.target.value)}
              />
              <FieldLabel htmlFor={`${ids}password`} marginTop="4">
                Password
              </FieldLabel>
              <Field
                id={`${ids}password`}
                name="password"
                type="password"
                autoComplete="current-password"
                required
                value={password}
                onChange={(e) => setPassword(e.target.value)}
              />
              {signIn.isError && <Refusal error={signIn.error} />}
              <Button type="submit" look="vivid" size="tall" width="100%" marginTop="5" disabled={signIn.isPending}>
                {signIn.isPending ? 'Signing in' : 'Sign in'}
              </Button>
            </form>
          </Sheet>
          <DemoPeople demo={demo} busy={signIn.isPending} onPick={signIn.mutate} />
        </Box>
      </Flex>
    </Box>
  );
};

const Front = () => (
  <Flex
    bg="frame"
    color="onFrame"
    direction="column"
    justifyContent="space-between"
    padding={{ base: '6', lg: '12' }}
    gap="6"
    data-frame
  >
    <Flex gap="3" alignItems="center">
      <Brand size="10" />
      <Heading as="h1" fontSize="2xl">
        Vivid Pull
      </Heading>
    </Flex>
    <Box maxWidth="120" display={{ base: 'none', lg: 'block' }}>
      <PullDrawing />
      <Box fontFamily="heading" fontWeight="bold" fontSize="3xl" lineHeight="tight" marginTop="8">
        Measure the play. Turn once. Prove it.
      </Box>
    </Box>
    <Box fontSize="sm" color="onFrameSoft" display={{ base: 'none', lg: 'block' }}>
      The machine's own manual and local law win over anything shown here.
    </Box>
  </Flex>
);

type DemoPeopleProps = {
  demo: readonly DemoPerson[];
  busy: boolean;
  onPick: (who: { login: string; password: string }) => void;
};

const DemoPeople = ({ demo, busy, onPick }: DemoPeopleProps) =>
  demo.length === 0 ? null : (
    <Box marginTop="5">
      <Box textStyle="small" marginBottom="2">
        Demo workshop: sign in as
      </Box>
      <Flex gap="2" flexWrap="wrap">
        {demo.map((person) => (
          <Button
            key={person.login}
            look="plain"
            size="small"
            onClick={() => onPick({ login: person.login, password: person.password })}
            disabled={busy}
          >
            {person.name}, {person.role}
          </Button>
        ))}
      </Flex>
    </Box>
  );

/** A lever, its cable and the arm it pulls. */
const PullDrawing = () => (
  <chakra.svg viewBox="0 0 480 150" width="100%" aria-hidden="true">
    <path d="M4 44H110" stroke={paint['graphite.edge']} strokeWidth="22" strokeLinecap="round" />
    <path
      d="M124 50C90 66 56 92 20 122"
      stroke={paint['steel.mid']}
      strokeWidth="11"
      strokeLinecap="round"
      fill="none"
    />
    <path d="M136 48H168" stroke={paint['vivid.onDark']} strokeWidth="3" />
    <rect x="166" y="34" width="16" height="28" rx="3" fill={paint['steel.light']} />
    <path d="M182 38L188 58M190 38L196 58M198 38L204 58" stroke={paint['steel.light']} strokeWidth="3" />
    <rect x="204" y="32" width="26" height="32" rx="4" fill={paint['yellow.tag']} />
    <path
      d="M230 48C320 48 300 112 390 112"
      stroke={paint['graphite.edge']}
      strokeWidth="10"
      fill="none"
      strokeLinecap="round"
    />
    <path d="M394 112H432" stroke={paint['vivid.onDark']} strokeWidth="3" />
    <path d="M432 112L446 40" stroke={paint['steel.mid']} strokeWidth="10" strokeLinecap="round" />
    <circle cx="446" cy="40" r="11" fill={paint.onFrame} />
    <circle cx="130" cy="48" r="12" fill={paint['steel.light']} />
  </chakra.svg>
);
