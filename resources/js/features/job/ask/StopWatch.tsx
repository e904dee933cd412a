import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../../components/Buttons';
import { decimals } from '../../../lib/figures';
import { useBench } from '../useBench';

type Watch = { is: 'still' } | { is: 'running'; since: number } | { is: 'stopped'; seconds: number };

const shown = (seconds: number) => decimals(seconds, 2);

/** A stopwatch in one big button: let go, stands, log. Its figure goes into the log as if it had been typed. */
export const StopWatch = () => {
  const { sendLine, job, state } = useBench();
  const isStopped = job.do_not_run.length > 0 || state.gates.some((one) => one.status === 'failed');
  const [watch, setWatch] = useState<Watch>({ is: 'still' });
  const seconds = useSeconds(watch);
  // The finger that stopped it is still to leave the button: only the next press logs.
  const isPressedAnew = useRef(false);
  const press = () => {
    if (watch.is === 'still') setWatch({ is: 'running', since: performance.now() });
    if (watch.is === 'running') setWatch({ is: 'stopped', seconds: (performance.now() - watch.since) / 1000 });
    if (watch.is === 'stopped') {
      sendLine(`${shown(watch.seconds)} s`);
      setWatch({ is: 'still' });
    }
  };
  const words = {
    still: 'Bail let go: start',
    running: 'Blade stands: stop',
    stopped: `Log ${shown(seconds)} s`,
  } as const satisfies Record<Watch['is'], string>;
  return (
    <Box bg="well" borderRadius="md" padding="3" data-stopwatch={watch.is}>
      <Box textStyle="figure" fontSize="4xl" textAlign="center" lineHeight="1" marginBottom="3" role="timer">
        {shown(seconds)}{' '}
        <Box as="span" fontSize="lg">
          s
        </Box>
      </Box>
      <Flex gap="2">
        <Button
          look={isStopped ? 'plain' : 'vivid'}
          size="tall"
          flex="1"
          minHeight="20"
          onPointerDown={() => {
            isPressedAnew.current = watch.is === 'stopped';
            if (watch.is !== 'stopped') press();
          }}
          onClick={(event) => (event.detail === 0 || (watch.is === 'stopped' && isPressedAnew.current)) && press()}
          data-primary={isStopped ? undefined : true}
        >
          {words[watch.is]}
        </Button>
        {watch.is === 'stopped' && (
          <Button look="plain" onClick={() => setWatch({ is: 'still' })}>
            Discard it
          </Button>
        )}
      </Flex>
    </Box>
  );
};

/** The time it shows, drawn again with every frame while it runs. */
function useSeconds(watch: Watch): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (watch.is !== 'running') return;
    let frame = 0;
    const tick = () => {
      setNow(performance.now());
      frame = requestAnimationFrame(tick);
    };
    tick();
    return () => cancelAnimationFrame(frame);
  }, [watch]);
  if (watch.is === 'stopped') return watch.seconds;
  return watch.is === 'running' ? Math.max(0, (now - watch.since) / 1000) : 0;
}
