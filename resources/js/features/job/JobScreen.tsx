import { useQuery } from '@tanstack/react-query';
import { memo } from 'react';
import { useParams } from 'react-router';
import { Problem } from '../../api/client';
import { type Job, jobQuery } from '../../api/jobs';
import { LinkButton } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { useFirstInSlices } from '../../components/Later';
import { Failure, Loading } from '../../components/States';
import { JobFrame } from './JobFrame';
import { BenchContext, OutboxStatusContext, useMakeBench } from './useBench';

export default function JobScreen() {
  const { id = '' } = useParams();
  const { data: known, error, refetch } = useQuery(jobQuery(id));
  const data = useFirstInSlices(known);
  if (data !== undefined) return <OpenJob key={data.id} job={data} />;
  const missing = error instanceof Problem && error.status === 404;
  return (
    <Frame>
      {error === null ? (
        <Loading what="the job" />
      ) : (
        <Failure
          error={missing ? new Problem(404, 'There is no job under this address.') : error}
          retry={() => refetch()}
        >
          <LinkButton to="/" look="quiet" textDecoration="none">
            To the Bench
          </LinkButton>
        </Failure>
      )}
    </Frame>
  );
}

const OpenJob = ({ job }: { job: Job }) => {
  const { bench, post } = useMakeBench(job);
  return (
    <BenchContext value={bench}>
      <OutboxStatusContext value={post}>
        <StillFrame />
      </OutboxStatusContext>
    </BenchContext>
  );
};

/** Drawn again by what its parts watch, and not because an entry is on its way. */
const StillFrame = memo(JobFrame);
