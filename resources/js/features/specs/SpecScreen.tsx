import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { Problem } from '../../api/client';
import { keys } from '../../api/keys';
import { adoptSpec, checkSpec, discardSpec, type SpecWhole, specQuery, startingQuery } from '../../api/specs';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { useFirstInSlices } from '../../components/Later';
import { MachineTag } from '../../components/MachineTag';
import { MiniTape } from '../../components/MiniTape';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { bandText, lengthUnit, sizeShown, unitText } from '../../lib/figures';
import { useSignedIn } from '../../lib/signedIn';
import { day } from '../../lib/time';
import { Changes } from './Changes';
import { type AdjusterDraft, bandOf, draftOf, type SpecDraft } from './draft';
import { SketchSheet } from './SketchSheet';
import { Standing } from './SpecsScreen';
import { TaughtSheet } from './TaughtSheet';
import {
  engines,
  isOnBars,
  kindName,
  limits,
  meterUnits,
  named,
  points,
  policies,
  poses,
  rules,
  standing,
} from './words';

export default function SpecScreen() {
  const id = Number(useParams().id ?? 0);
  const { data: known, error, refetch } = useQuery(specQuery(id));
  const data = useFirstInSlices(known);
  const missing = error instanceof Problem && error.status === 404;
  return (
    <Frame>
      {data !== undefined ? (
        <Whole spec={data} />
      ) : error !== null ? (
        <Failure error={missing ? new Problem(404, 'No such spec is in the library.') : error} retry={() => refetch()}>
          <LinkButton to="/specs" look="quiet" textDecoration="none">
            The library
          </LinkButton>
        </Failure>
      ) : (
        <Loading what="the spec" />
      )}
    </Frame>
  );
}

const Whole = ({ spec }: { spec: SpecWhole }) => {
  // What somebody looked at before another changed it under their hand.
  const [before, setBefore] = useState<SpecWhole | null>(null);
  return (
    <>
      <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
        <Box marginRight="auto">
          <Title>
            {spec.model}, {spec.name.toLowerCase()}
          </Title>
          <Box color="soft">
            {spec.family_title} · version {spec.version} · {spec.source}
          </Box>
        </Box>
        <Standing spec={spec} />
        <Actions spec={spec} onStale={() => setBefore(spec)} />
      </Flex>
      <Grid templateColumns={{ base: '1fr', lg: '1fr {sizes.82}' }} gap="4" alignItems="start">
        <Flex direction="column" gap="4" minWidth="0">
          {spec.missing.length > 0 && <StillEmpty missing={spec.missing} />}
          {spec.taught !== null && <TaughtSheet spec={spec} taught={spec.taught} />}
          <Figures spec={spec} before={before?.content === spec.content ? null : before} />
          <SketchSheet spec={spec} />
          <Changes spec={spec} />
        </Flex>
        <Flex direction="column" gap="4">
          <Versions spec={spec} />
          <InForce spec={spec} />
        </Flex>
      </Grid>
    </>
  );
};

/** What nobody filled in yet, which keeps a draft from being checked and from judging a machine. */
const StillEmpty = ({ missing }: { missing: string[] }) => (
  <Sheet padding="4" aria-label="Still empty" data-missing>
    <Heading as="h2" fontSize="lg">
      Fill in before it is checked
    </Heading>
    <Box as="ul" listStyleType="disc" paddingLeft="5" marginTop="1">
      {missing.map((one) => (
        <li key={one}>{one}</li>
      ))}
    </Box>
  </Sheet>
);

const Actions = ({ spec, onStale }: { spec: SpecWhole; onStale: () => void }) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [parting, setParting] = useState(false);
  const done = {
    onSuccess: (after: SpecWhole) => {
      client.setQueryData(specQuery(after.id).queryKey, after);
      for (const queryKey of [['specs'], ['machine'], ['bench']]) void client.invalidateQueries({ queryKey });
    },
  };
  const stale = {
    onError: (error: Error) => {
      if (!(error instanceof Problem) || error.status !== 409) return;
      onStale();
      void client.invalidateQueries({ queryKey: specQuery(spec.id).queryKey });
    },
  };
  const check = useMutation({ mutationFn: () => checkSpec(spec.id, spec.content), ...done, ...stale });
  const adopt = useMutation({ mutationFn: () => adoptSpec(spec.id, spec.content), ...done, ...stale });
  const discard = useMutation({
    mutationFn: () => discardSpec(spec.id),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: keys.specs });
      navigate('/specs');
    },
  });
  const error = check.error ?? adopt.error ?? discard.error;
  return (
    <Flex gap="2" flexWrap="wrap" data-screen-only>
      {spec.may.check && (
        <Button look="vivid" onClick={() => check.mutate()} disabled={check.isPending} data-check>
          I checked it against the document
        </Button>
      )}
      {spec.may.adopt && (
        <Button look="vivid" onClick={() => adopt.mutate()} disabled={adopt.isPending} data-adopt>
          Put in force
        </Button>
      )}
      {spec.may.change && (
        <>
          <LinkButton to={`/specs/${spec.id}/edit`} look="plain" textDecoration="none" data-edit>
            Put right
          </LinkButton>
          <Button look="quiet" onClick={() => (parting ? discard.mutate() : setParting(true))} data-discard>
            {parting ? 'Yes, throw the draft away' : 'Throw away'}
          </Button>
        </>
      )}
      {!spec.may.change && person.may_sign_off && (
        <LinkButton to={`/specs/${spec.id}/next`} look="plain" textDecoration="none" data-next>
          Enter the next version
        </LinkButton>
      )}
      {error !== null && <Refusal error={error} />}
    </Flex>
  );
};

type Options = readonly { key: string; label: string }[];

const secondCable = { backward: 'read past the rest of the grip', secondary: 'at the carburettor barrel' } as const;

/** What the version says, each line as the book has it. */
function lines(draft: SpecDraft, steps: Options = []): [string, string][] {
  const interval = [
    draft.use === '' ? '' : `${draft.use} ${named(meterUnits, draft.unit)}`,
    draft.months === '' ? '' : `${draft.months} months`,
  ].filter(Boolean);
  const rows: [string, string][] = [
    ['Printed', draft.printed],
    ['Read at', draft.low === '' && draft.high === '' ? '' : named(points, draft.point)],
    ['Engine', draft.engine === '' ? '' : named(engines, draft.engine)],
    ['Wheels', draft.wheels === '' ? '' : named(standing, draft.wheels)],
    ['Poses', isOnBars(draft.hand.kind) ? draft.poses.map((pose) => named(poses, pose)).join(', ') : ''],
    ['Aim for', named(policies, draft.policy)],
    ['Verdict', named(rules, draft.rule)],
    ['The book looks', interval.length === 0 ? '' : `every ${interval.join(' or ')}`],
    [
      'Second cable',
      draft.second === null
        ? ''
        : `${bandText(bandOf(draft.second))} ${lengthUnit()}, ${secondCable[draft.second.key]}`,
    ],
    ...draft.tables.flatMap((table) =>
      table.settings.map((one): [string, string] => [
        `At ${one.label}`,
        one.sees.find((sight) => sight.key === one.wants)?.label ?? '',
      ]),
    ),
    ...draft.torques.map((one): [string, string] => [one.what, sized(one.nm, 'N·m')]),
    ...draft.tools.map((one): [string, string] => [`Tools: ${named(steps, one.step)}`, one.what]),
    ...draft.proofs.map((one): [string, string] => ['Also tried', one]),
    ...draft.limits.map((one): [string, string] => [
      limits[one.kind].label,
      limits[one.kind].fields
        .filter((field) => one.figures[field.key])
        .map((field) => `${field.label} ${sized(one.figures[field.key] ?? '', 'unit' in field ? field.unit : '')}`)
        .join(' · '),
    ]),
  ];
  return rows.filter(([, said]) => said !== '');
}

const Figures = ({ spec, before }: { spec: SpecWhole; before: SpecWhole | null }) => {
  const { data: starting } = useQuery({
    ...startingQuery(String(spec.spec.family)),
    enabled: draftOf({ ...spec }, spec.spec, spec.run ?? {}).tools.length > 0,
  });
  const steps = starting?.replacing ?? [];
  const was = before === null ? null : lines(draftOf({ ...before }, before.spec, before.run ?? {}), steps);
  const draft = draftOf({ ...spec }, spec.spec, spec.run ?? {});
  const band = bandOf(draft);
  return (
    <Sheet padding="4" aria-label="What it says">
      <Heading as="h2" fontSize="xl" marginBottom="2">
        {spec.says}
      </Heading>
      {before !== null && (
        <Box
          bg="amber.wash"
          borderRadius="md"
          padding="3"
          marginBottom="3"
          lineHeight="snug"
          role="status"
          data-changed
        >
          <b>Changed since you looked.</b> It said: {before.says}.
        </Box>
      )}
      {(band.low_mm !== null || band.high_mm !== null) && (
        <MiniTape width={320} band={band} found={null} now={null} left={null} />
      )}
      <Grid
        asChild
        templateColumns={{ base: 'fit-content(45%) 1fr', md: 'fit-content({sizes.64}) 1fr' }}
        columnGap="4"
        rowGap="1"
        marginTop="3"
      >
        <dl>
          {lines(draft, steps).map(([name, said]) => (
            <Line key={name + said} name={name} said={said} was={changed(was, name, said)} />
          ))}
          {(was ?? [])
            .filter(([name]) => !lines(draft, steps).some(([now]) => now === name))
            .map(([name, said]) => (
              <Line key={`gone ${name}`} name={name} said="no more" was={said} />
            ))}
        </dl>
      </Grid>
      {draft.cables.length > 0 && (
        <>
          <Heading as="h3" fontSize="lg" marginTop="4" marginBottom="1">
            Adjusters
          </Heading>
          {draft.cables.map((cable) => (
            <Box key={String(cable.kept.id)} data-cable={String(cable.kept.id)}>
              {draft.cables.length > 1 && (
                <Box fontWeight="bold" marginTop="1">
                  {String(cable.kept.name)}
                </Box>
              )}
              {cable.adjusters.map((one) => (
                <AdjusterLine key={one.id} adjuster={one} />
              ))}
              {cable.adjusters.length === 0 && <Box color="soft">Nothing to turn on it</Box>}
            </Box>
          ))}
        </>
      )}
    </Sheet>
  );
};

/** A size of the draft, as it is read. */
const sized = (held: string, unit: string) => `${sizeShown(held, unit)} ${unitText(unit)}`.trim();

const AdjusterLine = ({ adjuster }: { adjuster: AdjusterDraft }) => (
  <Box>
    {adjuster.name}
    <Box as="span" color="soft">
      {', '}
      {kindName(adjuster.kind).toLowerCase()}
      {adjuster.thread !== '' && `, ${adjuster.thread}`}
      {adjuster.travel !== '' && `, ${sized(adjuster.travel, 'mm')}`}
      {adjuster.perTurn !== '' && `, ${adjuster.perTurn} ${adjuster.counts}s a turn`}
      {adjuster.step !== '' && `, ${sized(adjuster.step, 'mm')} a step`}
      {adjuster.from !== '' && `, ${adjuster.from} to ${adjuster.to}`}
      {adjuster.cover !== '' && `, under the ${adjuster.cover}`}
      {adjuster.torque !== '' && `, ${sized(adjuster.torque, 'N·m')}`}
      {adjuster.out !== '' && `, ${adjuster.out} and ${adjuster.in} for out and in`}
    </Box>
  </Box>
);

/** What a line said before, where it says something else now. */
const changed = (was: [string, string][] | null, name: string, said: string): string | null => {
  const before = was?.find(([other]) => other === name)?.[1] ?? null;
  return was === null || before === said ? null : (before ?? 'nothing');
};

const Line = ({ name, said, was }: { name: string; said: string; was: string | null }) => (
  <>
    <Box as="dt" color="soft">
      {name}
    </Box>
    <Box as="dd">
      {said}
      {was !== null && (
        <Box as="span" bg="amber.wash" marginLeft="2" paddingInline="1">
          it said: {was}
        </Box>
      )}
    </Box>
  </>
);

const Versions = ({ spec }: { spec: SpecWhole }) => (
  <Sheet padding="4" aria-label="Versions">
    <Heading as="h2" fontSize="lg" marginBottom="2">
      Versions
    </Heading>
    {spec.versions.map((one) => (
      <Flex
        key={one.id}
        gap="2"
        alignItems="baseline"
        borderTopWidth="thin"
        borderColor="line"
        paddingBlock="2"
        _first={{ borderTopWidth: '0' }}
      >
        <Box flex="1" lineHeight="snug">
          {one.id === spec.id ? (
            <b>Version {one.version}</b>
          ) : (
            <Link to={`/specs/${one.id}`}>Version {one.version}</Link>
          )}
          <Box textStyle="small">{one.says}</Box>
          <Box textStyle="small">
            entered by {one.entered_by ?? 'nobody named'}
            {one.checked_by !== null && `, checked by ${one.checked_by}`}
          </Box>
        </Box>
        <Standing spec={one} />
      </Flex>
    ))}
    {spec.checked_at !== null && (
      <Box textStyle="small">
        Version {spec.version} was checked {day(spec.checked_at)}.
      </Box>
    )}
  </Sheet>
);

const InForce = ({ spec }: { spec: SpecWhole }) => (
  <Sheet padding="4" aria-label="Machines">
    <Heading as="h2" fontSize="lg" marginBottom="2">
      Machines
    </Heading>
    {spec.machines.length === 0 && <Box color="soft">No machine of this model is kept here.</Box>}
    <Flex gap="2" flexWrap="wrap">
      {spec.machines.map((one) => (
        <Box key={one.tag} textAlign="center">
          <Link to={`/machines/${one.tag}#${spec.control}`} style={{ textDecoration: 'none' }}>
            <MachineTag tag={one.tag} size="sm" />
          </Link>
          <Box textStyle="small">version {one.version}</Box>
        </Box>
      ))}
    </Flex>
  </Sheet>
);
