import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { type Setting, sight } from '../../../api/beside';
import type { Judged } from '../../../api/jobs';
import { LinkButton, Paper, Sheet } from '../../../components/Buttons';
import { Mark, type MarkKind } from '../../../components/Marks';
import { VerdictChip } from '../../../components/VerdictChip';
import { counted, lengthUnit, measuredText, unitText, withUncertainty } from '../../../lib/figures';
import { useSignedIn } from '../../../lib/signedIn';
import { day, moment } from '../../../lib/time';
import { Pictures } from '../beside/Pictures';
import { useBench } from '../useBench';
import { Correct } from './Correct';
import { MakeLesson } from './MakeLesson';

/** The work is done; what it was teaches the workshop. */
const WhatWasIt = ({ id }: { id: string }) => (
  <LinkButton to={`/causes/${id}`} look="vivid" textDecoration="none" marginBottom="3" data-what-was-it>
    A complaint is open: say what it was
  </LinkButton>
);

const gateMarks = { passed: 'inside', failed: 'wrong', unknown: 'to_do' } as const satisfies Record<string, MarkKind>;

/** What goes on the record: found, left, against what, how it was proved, and by whom. */
export const JobSheet = () => {
  const { job, state } = useBench();
  const maySeeTruth = useSignedIn().may_keep_shop;
  const known = state.adjusters.filter((adjuster) => adjuster.at_mm !== null);
  return (
    <Sheet padding="4" aria-label="Job sheet">
      <Flex justifyContent="space-between" alignItems="center" columnGap="3" flexWrap="wrap">
        <Heading as="h2" fontSize="xl">
          Job sheet
        </Heading>
        <Flex columnGap="4" flexWrap="wrap" data-screen-only>
          <Paper look="link" paddingInline="0" href={`/api/jobs/${job.id}/sheet`}>
            Print the sheet
          </Paper>
          <Paper look="link" paddingInline="0" href={`/api/jobs/${job.id}/file`} target="_self" download>
            Job as a file
          </Paper>
          {state.closed !== null && <Correct />}
          {state.closed !== null && !job.from_file && maySeeTruth && <MakeLesson />}
        </Flex>
      </Flex>
      <Box textStyle="small" marginBottom="3">
        {job.machine.tag} {job.control.name.toLowerCase()}, {job.machine.name}, {counted(job.machine.usage)}{' '}
        {job.machine.usage_unit}, opened {moment(job.opened_at)}
      </Box>
      {job.complaint !== null && <WhatWasIt id={job.complaint} />}
      <Notices />
      {state.spec.point !== null && (
        <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="3">
          <Figure word="As found" mark="found" judged={state.found} />
          <Figure word="As left" mark="left" judged={state.now} />
          {state.pair !== null && (
            <Figure word={`The ${state.second_label ?? 'second cable'}, as left`} mark="left" judged={state.pair.now} />
          )}
        </Grid>
      )}
      <Told />
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="5" rowGap="3" marginTop="4">
        <Entry title="Held against">
          {state.spec.say}
          {state.spec.engine !== null && `, ${state.spec.engine}`}. {state.spec.source}.
          {state.wish !== null && <Box>Rider's wish: {state.wish.say}</Box>}
        </Entry>
        {known.length > 0 && (
          <Entry title="Adjusters, found and left">
            {known.map((adjuster) => (
              <Box key={adjuster.id}>
                {adjuster.name} {adjuster.home_say ?? '?'} → {adjuster.at_say}
              </Box>
            ))}
          </Entry>
        )}
        <Entry title="Gates">
          {state.gates.map((gate) => (
            <Flex key={gate.key} gap="2" alignItems="center">
              <Mark kind={gateMarks[gate.status]} size="small" />
              {gate.sentence}
            </Flex>
          ))}
        </Entry>
        {state.beside.refused.length > 0 && (
          <Entry title="Did not fit">{state.beside.refused.map((one) => `${one.part} ${one.number}`).join('; ')}</Entry>
        )}
        {state.beside.photos.length > 0 && (
          <Entry title="Pictures">
            <Pictures />
          </Entry>
        )}
        <Entry title="People">{state.people.map((person) => `${person.name}, ${person.role}`).join('; ')}</Entry>
      </Grid>
    </Sheet>
  );
};

/** What must not be overlooked before the figures are read. */
const Notices = () => {
  const { job, state } = useBench();
  return (
    <>
      {job.corrects !== null && (
        <Box bg="violet.wash" borderRadius="md" padding="3" marginBottom="3">
          <b>A correction.</b> It puts right <Link to={`/jobs/${job.corrects}`}>a job that was signed before</Link>,
          which stays as it was signed.
        </Box>
      )}
      {job.from_file && (
        <Box bg="violet.wash" borderRadius="md" padding="3" marginBottom="3">
          <b>It came in by file.</b> What was confirmed, looked over and tried was not in it.
        </Box>
      )}
      {state.by_choice !== null && (
        <Box bg="amber.wash" borderRadius="md" padding="3" marginBottom="3">
          <b>Outside by choice.</b> {state.by_choice}
        </Box>
      )}
      {state.tag !== null && (
        <Flex bg="stop" color="sheet" borderRadius="md" padding="3" marginBottom="3" gap="2">
          <Mark kind="tag" onDark />
          <Box>
            <b>Do not run.</b> {state.tag.reason}
          </Box>
        </Flex>
      )}
    </>
  );
};

const said = (setting: Setting, seen: string | null) => sight(setting, seen)?.label.toLowerCase() ?? 'not tried';

/** What was seen at each setting and measured beside the play, found and left. */
const Told = () => {
  const { table, measures, pull } = useBench().state.beside;
  const measured = measures.filter((one) => one.mean !== null);
  if (table === null && measured.length === 0 && pull === null) return null;
  return (
    <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="5" rowGap="1" marginTop="3" data-told>
      {table?.settings.map((one) => (
        <Flex key={one.key} gap="2" alignItems="center">
          <Mark kind={one.right ? 'inside' : one.wrong ? 'wrong' : 'to_do'} size="small" />
          <b>{one.label}</b> found {said(one, one.found)}, left {said(one, one.now)}
        </Flex>
      ))}
      {measured.map((one) => (
        <Flex key={one.key} gap="2" alignItems="center">
          <Mark kind={one.verdict === 'inside' ? 'inside' : 'wrong'} size="small" />
          <b>{one.label}</b> {measuredText(one.mean ?? 0, one.decimals, one.unit)} ±{' '}
          {measuredText(one.expanded ?? 0, one.decimals, one.unit)} {unitText(one.unit)}
        </Flex>
      ))}
      {pull !== null && <Box>{pull.sentence}</Box>}
    </Grid>
  );
};

const Figure = ({ word, mark, judged }: { word: string; mark: MarkKind; judged: Judged }) => (
  <Box bg="well" borderRadius="md" padding="3">
    <Flex alignItems="center" gap="2" textStyle="eyebrow">
      <Mark kind={mark} size="small" />
      {word}
    </Flex>
    <Box textStyle="figure" fontSize="3xl" marginBlock="1">
      {judged.mm === null ? '–' : withUncertainty(judged.mm, judged.expanded_mm)}
      <Box as="span" fontSize="lg">
        {judged.mm === null ? '' : ` ${lengthUnit()}`}
      </Box>
    </Box>
    <VerdictChip judged={judged} />
    {judged.instrument !== null && (
      <Box textStyle="small" marginTop="1" data-read-with>
        {judged.instrument}, {judged.count === 1 ? 'read once' : `read ${judged.count} times`}
        {judged.overdue_since !== null && <b>, its calibration overdue since {day(judged.overdue_since)}</b>}
      </Box>
    )}
  </Box>
);

const Entry = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box>
    <Heading as="h3" fontSize="md" color="soft" marginBottom="1">
      {title}
    </Heading>
    <Box lineHeight="snug">{children}</Box>
  </Box>
);
