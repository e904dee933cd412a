import { Flex } from '@chakra-ui/react';
import type { StageKey } from '../../api/jobs';
import { Later } from '../../components/Later';
import { preferencesOf } from '../../lib/preferences';
import { useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';
import { ChangedOnTheBench } from './ask/ChangedOnTheBench';
import { CheckStrip } from './ask/CheckCards';
import { InSight } from './ask/InSight';
import { BesideTheMove } from './ask/NextMove';
import { NowCard } from './ask/NowCard';
import { Tools } from './ask/Tools';
import { BenchLog } from './BenchLog';
import { Beside, PackWhenOpen } from './beside/Beside';
import { MatchPanel } from './beside/MatchPanel';
import { CableRun } from './drawing/CableRun';
import { Tape } from './drawing/Tape';
import { JobHeader } from './JobHeader';
import { Notices } from './Notices';
import { NotSent } from './NotSent';
import { Pad } from './Pad';
import { Checklist } from './sheets/Checklist';
import { JobSheet } from './sheets/JobSheet';
import { Poses } from './sheets/Poses';
import { Place, ThreeColumns } from './ThreeColumns';
import { useBench } from './useBench';
import { useSpeech } from './useSpeech';

/** Rail, bench and the next action side by side; on a phone the next action first. */
export const JobFrame = () => {
  const bench = useBench();
  const { hand } = useKept(preferencesOf(useSignedIn().id));
  useSpeech();
  return (
    <ThreeColumns header={<JobHeader />} hand={hand} centre={<Centre stage={bench.viewed} />}>
      <Place at={1}>
        <Notices />
      </Place>
      <Place at={1}>
        <CheckStrip />
      </Place>
      <Place at={2}>
        <InSight>
          <NowCard />
        </InSight>
      </Place>
      {bench.mayWrite && <NotSent />}
      {bench.mayWrite && (
        <Place at={4}>
          <Pad />
        </Place>
      )}
      {bench.mayWrite && (
        <Place at={5}>
          <Later>
            <BesideTheMove />
          </Later>
        </Place>
      )}
      {bench.mayWrite && bench.state.tag === null && (
        <Place at={8}>
          <Later>
            <Tools />
          </Later>
        </Place>
      )}
      {bench.mayWrite && bench.state.tag === null && (
        <Place at={4}>
          <Later>
            <ChangedOnTheBench />
          </Later>
        </Place>
      )}
    </ThreeColumns>
  );
};

const Centre = ({ stage }: { stage: StageKey }) => {
  const centres = {
    make_safe: (
      <>
        <Place at={5}>
          <Checklist stage="make_safe" />
        </Place>
        <WrittenSoFar />
      </>
    ),
    look_over: (
      <>
        <Place at={4}>
          <Stack>
            <MatchPanel />
          </Stack>
        </Place>
        <Place at={5}>
          <Checklist stage="look_over" />
        </Place>
        <WrittenSoFar />
      </>
    ),
    as_found: <Measuring />,
    set: <Measuring />,
    prove: (
      <>
        <ProvedAt />
        <Place at={4}>
          <Stack>
            <Beside measured />
            <PackWhenOpen />
          </Stack>
        </Place>
        <Place at={5}>
          <Checklist stage="prove" />
        </Place>
        <Place at={6} grow>
          <BenchLog />
        </Place>
      </>
    ),
    close: (
      <>
        <Place at={5}>
          <JobSheet />
        </Place>
        <Place at={6}>
          <Checklist stage="close" />
        </Place>
        <Place at={7} grow>
          <BenchLog />
        </Place>
      </>
    ),
  } as const satisfies Record<StageKey, React.ReactNode>;
  return centres[stage];
};

/** Before anything is read the log has nothing to show but words: those that it was brought in with, and notes. */
const WrittenSoFar = () => {
  const { state } = useBench();
  return state.log.some((row) => row.kind === 'note' || row.kind === 'complaint') ? (
    <Place at={6} grow>
      <BenchLog />
    </Place>
  ) : null;
};

const Measuring = () => {
  const { state } = useBench();
  return (
    <>
      <Place at={5}>
        <CableRun />
      </Place>
      {state.spec.point !== null && (
        <Place at={3}>
          <Tape />
        </Place>
      )}
      <Place at={4}>
        <Stack>
          <Beside measured={false} />
          <PackWhenOpen />
        </Stack>
      </Place>
      <Place at={6} grow>
        <BenchLog />
      </Place>
    </>
  );
};

const ProvedAt = () => {
  const { state } = useBench();
  return state.spec.point === null ? null : (
    <Place at={3}>
      <Poses />
    </Place>
  );
};

const Stack = ({ children }: { children: React.ReactNode }) => (
  <Flex direction="column" gap="3" _empty={{ display: 'none' }}>
    {children}
  </Flex>
);
