import { Flex } from '@chakra-ui/react';
import type { InstrumentCheck } from '../../api/shelf';
import { Button } from '../../components/Buttons';
import { Refusal } from '../../components/Refusal';
import { Told } from './Told';
import type { useCheck } from './useCheck';

type Props = { ask: ReturnType<typeof useCheck>; check: InstrumentCheck; ready: boolean };

/** First what it tells, then kept: nothing is kept that nobody has looked at. */
export const CheckActions = ({ ask, check, ready }: Props) => {
  const told = ask.isSuccess && ask.variables.keep === false ? ask.data.told : null;
  return (
    <Flex direction="column" gap="3" alignItems="flex-start">
      {told !== null && <Told told={told} />}
      {ask.isError && <Refusal error={ask.error} />}
      <Flex gap="2">
        <Button
          look={told === null ? 'vivid' : 'plain'}
          disabled={!ready || ask.isPending}
          onClick={() => ask.mutate({ keep: false, check })}
          data-work-out
        >
          What does it tell?
        </Button>
        {told !== null && (
          <Button
            look="vivid"
            disabled={ask.isPending}
            onClick={() => ask.mutate({ keep: true, check })}
            data-keep-check
          >
            Keep it
          </Button>
        )}
      </Flex>
    </Flex>
  );
};
