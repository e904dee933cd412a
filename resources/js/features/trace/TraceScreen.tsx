import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { Problem, say } from '../../api/client';
import { type Job, jobQuery } from '../../api/jobs';
import { type Measured, type TraceView, traceQuery } from '../../api/traces';
import { Button, LinkButton, Paper, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { MachineTag } from '../../components/MachineTag';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { outbox } from '../../lib/outbox';
import { moment } from '../../lib/time';
import { Findings } from './Findings';
import { HowMeasured } from './HowMeasured';
import { TakePull } from './TakePull';
import { TraceChart } from './TraceChart';

/** A pull of this job as a curve: taken in, read, kept, and its play taken as a reading. */
export default function TraceScreen() {
  const { id = '', trace } = useParams();
  const { data: job, error, refetch } = useQuery(jobQuery(id));
  const missing = error instanceof Problem && error.status === 404;
  return (
    <Frame>
      {job !== undefined ? (
        <Whole key={trace} job={job} trace={trace} />
      ) : error !== null ? (
        <Failure
          error={missing ? new Problem(404, 'There is no job under this address.') : error}
          retry={() => refetch()}
        />
      ) : (
        <Loading what="the job" />
      )}
    </Frame>
  );
}

const Whole = ({ job, trace }: { job: Job; trace: string | undefined }) => (
  <>
    <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
      <MachineTag tag={job.machine.tag} />
      <Box marginRight="auto">
        <Title tag={job.machine.tag}>The pull as a curve</Title>
        <Box color="soft">{job.control.name}</Box>
      </Box>
      <LinkButton to={`/jobs/${job.id}`} look="quiet" textDecoration="none">
        Back to the job
      </LinkButton>
    </Flex>
    {!job.state.beside.can_trace ? (
      <Sheet padding="4">A curve of the pull tells nothing of this control.</Sheet>
    ) : trace === undefined ? (
      <Taking job={job} />
    ) : (
      <Reading job={job} trace={trace} />
    )}
  </>
);

const Taking = ({ job }: { job: Job }) => {
  const go = useNavigate();
  const { id } = job;
  const taken = useCallback((trace: string) => go(`/jobs/${id}/pull/${trace}`, { replace: true }), [go, id]);
  if (job.state.closed !== null) return <Sheet padding="4">This job is closed. A pull is kept with an open one.</Sheet>;
  if (job.state.stage === 'make_safe')
    return (
      <Sheet padding="4">
        <Box marginBottom="3">Make it safe first: the job asks its lines before hands go near.</Box>
        <LinkButton to={`/jobs/${job.id}`} look="vivid" textDecoration="none">
          Make it safe
        </LinkButton>
      </Sheet>
    );
  return <TakePull job={job.id} moved={job.state.hand.name.toLowerCase()} onTaken={taken} />;
};

/** As it is asked of a pull that is not kept yet: where the spec reads, with what is on the shelf, at the new cable's place. */
const usual = (job: Job): Measured => ({
  point: job.state.spec.point ?? job.state.spec.points[0]?.key ?? 'lever_tip',
  instrument: '',
  at_mm: job.state.beside.pull_at_mm === null ? '' : String(job.state.beside.pull_at_mm),
  reach_mm: '',
  to_stop: true,
});

const Reading = ({ job, trace }: { job: Job; trace: string }) => {
  const kept = job.state.beside.traces.some((one) => one.trace === trace);
  const [how, setHow] = useState(() => usual(job));
  const { data, error, isPlaceholderData, refetch } = useQuery({
    ...traceQuery(job.id, trace, kept ? null : how),
    placeholderData: keepPreviousData,
  });
  const asksReach = how.reach_mm !== '' || (error instanceof Problem && error.status === 422);
  const measured = <HowMeasured state={job.state} how={how} onChange={setHow} asksReach={asksReach} />;
  if (data === undefined && asksReach)
    return (
      <>
        <Box role="alert" marginBottom="4" fontWeight="bold">
          {error === null ? 'Reading it' : say(error)}
        </Box>
        {measured}
        <Button
          look="vivid"
          minHeight="tall"
          marginTop="4"
          // What was typed is taken when its field is left, which this does.
          onClick={() => document.querySelector<HTMLInputElement>('#reach')?.focus()}
          data-draw
        >
          Draw it
        </Button>
      </>
    );
  if (data === undefined)
    return error === null ? (
      <Loading what="the curve" />
    ) : (
      <Failure
        error={error instanceof Problem && error.status === 404 ? new Problem(404, 'There is no such curve.') : error}
        retry={() => refetch()}
      />
    );
  return (
    <Grid
      templateColumns={{ base: '1fr', lg: '1fr {sizes.80}' }}
      templateAreas={{ base: '"curve" "side" "how"', lg: '"curve side" "how side"' }}
      templateRows={{ base: 'auto', lg: 'auto 1fr' }}
      gap="4"
      alignItems="start"
    >
      <Box gridArea="curve" minWidth="0">
        <Curve job={job} trace={trace} view={data} />
        {error !== null && <Refusal error={error} />}
      </Box>
      {!kept && job.state.closed === null && <Box gridArea="how">{measured}</Box>}
      <Flex gridArea="side" direction="column" gap="4">
        <Ahead job={job} view={data} kept={kept} waits={isPlaceholderData} />
        <Findings view={data} />
      </Flex>
    </Grid>
  );
};

const Curve = ({ job, trace, view }: { job: Job; trace: string; view: TraceView }) => (
  <Sheet padding="4" aria-label="Force over travel">
    <Flex gap="4" alignItems="baseline" flexWrap="wrap" marginBottom="1">
      <Heading as="h2" fontSize="lg">
        Force over travel
      </Heading>
      <Legend way="pull" />
      {view.release.length > 0 && <Legend way="release" />}
      {view.earlier.some((one) => !one.new_cable) && <Legend way="earlier" />}
      {view.earlier.some((one) => one.new_cable) && <Legend way="fresh" />}
      <Box textStyle="small" marginLeft="auto">
        {view.points.toLocaleString('en').replaceAll(',', '\u00a0')} points
      </Box>
    </Flex>
    <TraceChart view={view} />
    {view.earlier.map((one) => (
      <Box key={one.trace} marginTop="3" data-changes>
        <b>
          Against {moment(one.at)}
          {one.new_cable && ', a new cable'}:
        </b>{' '}
        {one.changes.join(' ')}
      </Box>
    ))}
    <Flex gap="3" marginTop="3" flexWrap="wrap">
      <Paper look="quiet" href={`/api/jobs/${job.id}/traces/${trace}/points`} textDecoration="none">
        Its points as CSV
      </Paper>
      <Paper look="quiet" href={`/api/jobs/${job.id}/traces/${trace}/points?as=json`} textDecoration="none">
        as JSON
      </Paper>
    </Flex>
  </Sheet>
);

const ways = {
  pull: { word: 'pull', colour: 'action', style: 'solid' },
  release: { word: 'release', colour: 'inside', style: 'solid' },
  earlier: { word: 'earlier pulls', colour: 'steel.mid', style: 'dashed' },
  fresh: { word: 'a new cable', colour: 'cantTell', style: 'dotted' },
} as const;

const Legend = ({ way }: { way: keyof typeof ways }) => (
  <Flex alignItems="center" gap="1.5" textStyle="small" color="ink">
    <Box width="5.5" borderTopWidth="3px" borderColor={ways[way].colour} borderStyle={ways[way].style} />
    {ways[way].word}
  </Flex>
);

type AheadProps = { job: Job; view: TraceView; kept: boolean; waits: boolean };

/** The one thing to do next with the curve. */
const Ahead = ({ job, view, kept, waits }: AheadProps) => {
  const go = useNavigate();
  const [sent, setSent] = useState(false);
  const put = (draft: Parameters<typeof outbox.put>[2]) => outbox.put(job.id, job.state.head, draft);
  if (job.state.closed !== null) return null;
  if (!kept) {
    return (
      <Button
        look="vivid"
        minHeight="tall"
        disabled={waits || sent}
        onClick={() => {
          setSent(true);
          put({ kind: 'trace', body: view.body });
        }}
        data-keep-trace
      >
        {sent ? 'Keeping it' : 'Keep it with the job'}
      </Button>
    );
  }
  const { line, body } = view;
  if (line === null || body.instrument === undefined) return null;
  const { instrument, point } = body;
  const state = job.state.stages.flatMap((stage) => stage.items).find((one) => one.topic === 'condition' && !one.done);
  if (state !== undefined)
    return (
      <Sheet padding="4" data-asks-state>
        <Box fontWeight="bold" marginBottom="2">
          {state.label}
        </Box>
        <Box marginBottom="2">Say this once; then the play of the curve can be taken as the reading.</Box>
        <Flex gap="2" flexWrap="wrap">
          {state.answers.map((one) => (
            <Button
              key={one.word}
              look="plain"
              onClick={() => put({ kind: one.kind, body: one.body })}
              data-state={one.word}
            >
              {one.label}
            </Button>
          ))}
        </Flex>
      </Sheet>
    );
  return (
    <Button
      look="vivid"
      minHeight="tall"
      onClick={() => {
        put({ line, shown: { point, instrument, pose: 'straight' } });
        go(`/jobs/${job.id}`);
      }}
      data-take-reading
    >
      Take it as the reading
    </Button>
  );
};
