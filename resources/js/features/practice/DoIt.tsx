import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Button } from '../../components/Buttons';
import { Caution } from '../../components/Caution';
import { lengthUnit, shortLength } from '../../lib/figures';
import { useBench } from '../job/useBench';
import { HookIt } from './HookIt';
import { usePractice } from './usePractice';

/** One thing to try or look at, with what it showed. What is asked now stands first. */
const Row = ({
  label,
  about,
  asked = false,
  children,
}: {
  label: string;
  about?: ReactNode;
  asked?: boolean;
  children: ReactNode;
}) => (
  <Flex
    order={asked ? -1 : 0}
    gap="3"
    alignItems="center"
    flexWrap="wrap"
    padding="3"
    borderWidth={asked ? 'thick' : 'thin'}
    borderColor={asked ? 'action' : 'line'}
    borderRadius="md"
    data-asked={asked || undefined}
  >
    <Box flex="1 1 {sizes.56}" minWidth="0" lineHeight="snug">
      <Box fontWeight="bold">{label}</Box>
      {about}
    </Box>
    {children}
  </Flex>
);

const Saw = ({ saw }: { saw: string }) => (
  <Box data-saw>
    <Box as="span" color="soft">
      Seen:{' '}
    </Box>
    <b>{saw}</b>
  </Box>
);

const List = ({ children }: { children: ReactNode }) => (
  <Flex direction="column" gap="2">
    {children}
  </Flex>
);

/** Whether what is asked is about this. */
const useAsked = (): ((key: string) => boolean) => {
  const { item } = useBench();
  return (key) => {
    const of = (item?.key ?? '').replace(/:second$/, '');
    return of.slice(of.lastIndexOf(':') + 1).split('/')[0] === key;
  };
};

/** Proofs are tried on the machine; what it did is then written at the bench. */
export const TryIt = () => {
  const { attempt, act, busy } = usePractice();
  const asked = useAsked();
  return (
    <List>
      {attempt.machine.proofs.map((proof) => (
        <Row
          key={proof.key}
          label={proof.question}
          asked={asked(proof.key)}
          about={asked(proof.key) && proof.caution !== null ? <Caution compact>{proof.caution}</Caution> : undefined}
        >
          <Flex direction="column" gap="2">
            {proof.tries.map((one) => (
              <Flex key={one.pose ?? 'any'} gap="3" alignItems="center" flexWrap="wrap">
                <Button
                  look={asked(proof.key) && one.saw === null ? 'vivid' : 'plain'}
                  size="small"
                  disabled={busy}
                  onClick={() => act({ act: 'try', of: proof.key, pose: one.pose ?? undefined })}
                  data-try={one.pose === null ? proof.key : `${proof.key}/${one.pose}`}
                >
                  {one.label === null ? 'Try it' : `Try it, ${one.label}`}
                </Button>
                {one.saw !== null && <Saw saw={one.saw} />}
              </Flex>
            ))}
          </Flex>
        </Row>
      ))}
    </List>
  );
};

export const RunIt = () => {
  const { attempt, act, busy } = usePractice();
  const asked = useAsked();
  return (
    <List>
      {attempt.machine.settings.map((one) => (
        <Row key={one.key} label={one.label} asked={asked(one.key)}>
          <Button
            look={asked(one.key) && one.saw === null ? 'vivid' : 'plain'}
            size="small"
            disabled={busy}
            onClick={() => act({ act: 'run', of: one.key })}
            data-run={one.key}
          >
            {one.press}
          </Button>
          {one.unmet && (
            <Button look="vivid" size="small" disabled={busy} onClick={() => act({ act: 'roll' })} data-roll>
              Turn a wheel by hand
            </Button>
          )}
          {one.saw !== null && <Saw saw={one.saw} />}
        </Row>
      ))}
    </List>
  );
};

/** Beside its play. What it showed is then written at the bench, each for itself. */
export const MeasureIt = () => {
  const { attempt, act, busy } = usePractice();
  const { item } = useBench();
  const asked = useAsked();
  return (
    <List>
      {attempt.machine.measures.map((one) => (
        <Row
          key={one.key}
          label={one.label}
          asked={asked(one.key)}
          about={
            <>
              <Box color="soft">{one.how}</Box>
              {asked(one.key) && item?.caution != null && <Caution compact>{item.caution}</Caution>}
            </>
          }
        >
          <Button
            look={asked(one.key) && one.saw === null ? 'vivid' : 'plain'}
            size="small"
            disabled={busy}
            onClick={() => act({ act: 'measure', of: one.key })}
            data-measure={one.key}
          >
            {one.saw === null ? 'Measure it' : 'Once more'}
          </Button>
          {one.saw !== null && <Saw saw={one.saw} />}
        </Row>
      ))}
      {attempt.machine.distances.map((one) => (
        <Row key={one.label} label={one.label} about={<Box color="soft">A rule held to it shows this.</Box>}>
          <Saw saw={`${shortLength(one.mm)} ${lengthUnit()}`} />
        </Row>
      ))}
    </List>
  );
};

/** Behind its end fittings it is dark. */
const Light = () => {
  const { attempt, act, busy } = usePractice();
  const { light } = attempt.machine;
  return (
    <Button
      look={light ? 'dark' : 'plain'}
      size="small"
      alignSelf="flex-start"
      order={-2}
      aria-pressed={light}
      disabled={busy || light}
      onClick={() => act({ act: 'light' })}
      data-light
    >
      {light ? 'Light in hand' : 'Take a light'}
    </Button>
  );
};

/** How hot it is, by hand. */
const FeelIt = () => {
  const { attempt, act, busy } = usePractice();
  const { item } = useBench();
  const { engine } = attempt.machine;
  if (engine === null) return null;
  const asked = item?.topic === 'condition';
  return (
    <Row
      label="Engine: cold or hot"
      asked={asked}
      about={
        <>
          <Box color="soft">A hand near the case, then on it.</Box>
          {engine.felt === 'cold' && engine.caution !== null && <Caution compact>{engine.caution}</Caution>}
        </>
      }
    >
      {engine.felt !== null && <Saw saw={engine.felt === 'hot' ? 'Hot' : 'Cold'} />}
      {engine.felt === null && (
        <Button
          look={asked ? 'vivid' : 'plain'}
          size="small"
          disabled={busy}
          onClick={() => act({ act: 'feel' })}
          data-feel
        >
          Feel it
        </Button>
      )}
      {engine.felt === 'hot' && !engine.wants_hot && (
        <Button look="plain" size="small" disabled={busy} onClick={() => act({ act: 'cool' })} data-cool>
          Let it cool
        </Button>
      )}
      {engine.felt === 'cold' && engine.wants_hot && (
        <Button look="plain" size="small" disabled={busy} onClick={() => act({ act: 'warm' })} data-warm>
          Run it until it is hot
        </Button>
      )}
    </Row>
  );
};

export const LookAtIt = () => {
  const { attempt, act, busy } = usePractice();
  const asked = useAsked();
  return (
    <List>
      <Light />
      <FeelIt />
      {attempt.machine.parts.map((part) => (
        <Row key={part.key} label={part.label} asked={asked(part.key)} about={<Box color="soft">{part.look_for}</Box>}>
          {part.saw === null ? (
            <Button
              look={asked(part.key) ? 'vivid' : 'plain'}
              size="small"
              disabled={busy}
              onClick={() => act({ act: 'look', of: part.key })}
              data-look={part.key}
            >
              Look at it
            </Button>
          ) : (
            <Saw saw={part.saw} />
          )}
        </Row>
      ))}
    </List>
  );
};

/** What is no adjuster. An end is hooked by hand; the rest is done here, and written at the bench like everything else. */
export const PutItRight = () => {
  const { attempt, act, busy } = usePractice();
  const { send, mayWrite } = useBench();
  return (
    <Flex gap="2" flexWrap="wrap">
      {attempt.machine.ends.length > 0 && (
        <Box flexBasis="100%" marginBottom="2">
          <HookIt />
        </Box>
      )}
      {attempt.machine.cures.map((cure) => (
        <Button
          key={cure.key}
          look="plain"
          disabled={busy || !mayWrite}
          onClick={() =>
            act({ act: 'cure', of: cure.key }, () => send({ kind: 'put_right', body: { cure: cure.key } }))
          }
          data-cure={cure.key}
        >
          {cure.label}
        </Button>
      ))}
      <Box flexBasis="100%" color="soft" lineHeight="snug">
        Done and written in one. What is sound is left alone: changing it costs time, and what was read before counts no
        more.
      </Box>
    </Flex>
  );
};
