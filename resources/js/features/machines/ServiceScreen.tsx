import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { Problem } from '../../api/client';
import { type Service, type ServiceStop, serviceQuery } from '../../api/machines';
import { Button, Chip, LinkButton, Paper, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { MachineTag } from '../../components/MachineTag';
import { Mark, type MarkKind } from '../../components/Marks';
import { Refusal } from '../../components/Refusal';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { bandText, lengthText, lengthUnit, torqueText } from '../../lib/figures';
import { useSignedIn } from '../../lib/signedIn';
import { useStartJob } from './useStartJob';

/** All controls of a machine in one visit: the order, what to lay out before, and what is left. */
export default function ServiceScreen() {
  const { tag = '' } = useParams();
  const { data, error, refetch } = useQuery(serviceQuery(tag));
  const missing = error instanceof Problem && error.status === 404;
  return (
    <Frame>
      {data !== undefined ? (
        <Whole service={data} />
      ) : error !== null ? (
        <Failure
          error={missing ? new Problem(404, `No machine hangs under the tag ${tag}.`) : error}
          retry={() => refetch()}
        />
      ) : (
        <Loading what={tag} />
      )}
    </Frame>
  );
}

const Whole = ({ service }: { service: Service }) => {
  const next = service.stops.find((one) => one.done === null);
  const left = service.stops.filter((one) => one.done === null).length;
  const at = `/machines/${encodeURIComponent(service.tag)}`;
  return (
    <>
      <Flex alignItems="center" gap="4" flexWrap="wrap" marginBottom="4">
        <MachineTag tag={service.tag} size="lg" stop={service.stops.some((one) => one.control.tag !== null)} />
        <Box>
          <Title tag={service.tag}>Service of {service.machine}</Title>
          <Box color="soft" data-left={left}>
            {left === 0 ? 'Every control was signed today' : `${left} of ${service.stops.length} to do`} · about{' '}
            {service.minutes} min in all
          </Box>
        </Box>
        <Flex gap="2" marginLeft={{ md: 'auto' }} data-screen-only>
          <LinkButton to={at} look="quiet" textDecoration="none">
            To the machine
          </LinkButton>
          <Paper href={`/api${at}/service/sheet`} look="quiet" textDecoration="none">
            Print the sheet
          </Paper>
        </Flex>
      </Flex>
      <Grid templateColumns={{ base: '1fr', lg: '1fr {sizes.88}' }} gap="4" alignItems="start">
        <Flex asChild direction="column" gap="3">
          <ol>
            {service.stops.length === 0 && (
              <Empty title="It has no control yet">A lead adds one from the library on the machine's page.</Empty>
            )}
            {service.stops.map((stop, n) => (
              <Stop
                key={stop.control.key}
                tag={service.tag}
                stop={stop}
                place={n + 1}
                isNext={stop === next}
                before={service.stops[n - 1]}
              />
            ))}
          </ol>
        </Flex>
        <Kit service={service} />
      </Grid>
    </>
  );
};

const heat = {
  cold: 'Cold, before it runs',
  any: 'In any heat',
  cooling: 'Once it is cold',
  soaking: 'Once its plates have soaked',
  hot: 'After it ran',
} as const satisfies Record<ServiceStop['ready'], string>;

const signed = {
  fit: { mark: 'inside', word: 'fit for use' },
  by_choice: { mark: 'found', word: 'left outside by choice' },
  tagged: { mark: 'tag', word: 'do not run' },
  checked: { mark: 'left', word: 'checked, play inside' },
} as const satisfies Record<string, { mark: MarkKind; word: string }>;

type StopProps = {
  tag: string;
  stop: ServiceStop;
  place: number;
  isNext: boolean;
  before: ServiceStop | undefined;
};

const Stop = ({ tag, stop, place, isNext, before }: StopProps) => {
  const { control, done } = stop;
  return (
    <li>
      {before?.ready !== stop.ready && (
        <Box textStyle="eyebrow" marginBottom="2" marginTop={place === 1 ? '0' : '2'}>
          {heat[stop.ready]}
        </Box>
      )}
      <Sheet
        padding="4"
        tone={control.tag !== null ? 'stop' : isNext ? 'vivid' : 'plain'}
        aria-label={control.name}
        data-stop={control.key}
        data-done={done !== null}
      >
        <Flex gap="4" alignItems="center" flexWrap="wrap">
          <Box textStyle="figure" fontSize="2xl" width="6">
            {place}
          </Box>
          <Box flex="1 1 {sizes.56}" minWidth="0">
            <Heading as="h2" fontSize="xl">
              {control.name}
            </Heading>
            <Box color="soft" lineHeight="snug">
              {control.point_label === null
                ? control.family
                : `${bandText(control.band)} ${lengthUnit()} at the ${control.point_label}`}
              {' · '}
              {stop.minutes} min
              {stop.covers_shared.length > 0 && <b>, {stop.covers_shared.join(', ')} off already</b>}
            </Box>
            {control.tag !== null && <Box lineHeight="snug">Do not run: {control.tag.reason}</Box>}
          </Box>
          {done === null ? <Begin tag={tag} stop={stop} isNext={isNext} /> : <Done stop={stop} done={done} />}
        </Flex>
      </Sheet>
    </li>
  );
};

const Done = ({ stop, done }: { stop: ServiceStop; done: NonNullable<ServiceStop['done']> }) => {
  const how = done.outcome === null ? null : signed[done.outcome];
  return (
    <Flex gap="3" alignItems="center" flexWrap="wrap">
      <Chip tone={done.outcome === 'tagged' ? 'stop' : done.outcome === 'by_choice' ? 'outside' : 'inside'}>
        <Mark kind={how?.mark ?? 'left'} onDark={done.outcome === 'tagged'} />
        {how?.word ?? 'signed'}
      </Chip>
      {stop.control.left_mm !== null && (
        <Box>
          {lengthText(stop.control.left_mm)} {lengthUnit()}
        </Box>
      )}
      <LinkButton to={`/jobs/${done.job}`} look="link">
        Its sheet
      </LinkButton>
    </Flex>
  );
};

/** Checked where that can be enough, set where it cannot; gone on with where it was begun. */
const Begin = ({ tag, stop, isNext }: { tag: string; stop: ServiceStop; isNext: boolean }) => {
  const person = useSignedIn();
  const { control } = stop;
  const check = useStartJob(tag, control.key, true);
  const start = useStartJob(tag, control.key);
  const failed = check.error ?? start.error;
  if (control.job !== null) {
    return (
      <LinkButton to={`/jobs/${control.job}`} look={isNext ? 'vivid' : 'plain'} textDecoration="none">
        Go on at {control.stage}
      </LinkButton>
    );
  }
  if (!person.may_log) return null;
  return (
    <Flex gap="2" flexWrap="wrap">
      {control.may_check && (
        <Button
          look={isNext ? 'vivid' : 'plain'}
          onClick={() => check.mutate()}
          disabled={check.isPending}
          data-check={control.key}
        >
          Check
        </Button>
      )}
      <Button
        look={isNext && !control.may_check ? 'vivid' : 'plain'}
        onClick={() => start.mutate()}
        disabled={start.isPending}
        data-start={control.key}
      >
        Start a job
      </Button>
      {failed !== null && <Refusal error={failed} />}
    </Flex>
  );
};

const Kit = ({ service: { kit, stops } }: { service: Service }) => {
  const forWhich = (names: readonly string[]) =>
    names.length > 1 && names.length === stops.length
      ? 'all controls'
      : names.map((name) => name.toLowerCase()).join('; ');
  return (
    <Sheet padding="4" aria-label="To lay out first" data-kit>
      <Heading as="h2" fontSize="lg" marginBottom="2">
        To lay out first
      </Heading>
      <Part title="Tools" empty="Nothing but hands.">
        {kit.tools.map((one) => (
          <Line key={one.what} what={one.what} of={one.for.join('; ')} />
        ))}
      </Part>
      <Part title="Instruments" empty="None: nothing is read.">
        {kit.instruments.map((one) => (
          <Line key={one.what} what={one.what === '' ? 'None here decides it' : one.what} of={forWhich(one.for)} />
        ))}
      </Part>
      <Part title="Consumables" empty="None.">
        {kit.consumables.map((one) => (
          <Line key={one.what} what={one.what} of={forWhich(one.for)} />
        ))}
      </Part>
      <Part title="Covers that come off" empty="None.">
        {kit.covers.map((one) => (
          <Line key={one.what} what={one.what} of={`${Math.round(one.minutes)} min`} />
        ))}
      </Part>
      <Part title="Torques" empty="None is given.">
        {kit.torques.map((one) => (
          <Line key={`${one.what} ${one.of}`} what={torqueText(one.nm)} of={`${one.what}, ${one.of.toLowerCase()}`} />
        ))}
      </Part>
      <Part title="Figures" empty="None.">
        {kit.figures.map((one) => (
          <Line key={one.what} what={one.what} of={one.says} />
        ))}
      </Part>
    </Sheet>
  );
};

const Part = ({ title, empty, children }: { title: string; empty: string; children: readonly ReactNode[] }) => (
  <Box marginTop="3">
    <Box textStyle="eyebrow">{title}</Box>
    {children.length === 0 ? (
      <Box color="soft">{empty}</Box>
    ) : (
      <Box as="ul" listStyleType="none">
        {children}
      </Box>
    )}
  </Box>
);

const Line = ({ what, of }: { what: string; of: string }) => (
  <Box as="li" lineHeight="snug" paddingBlock="1">
    <b>{what}</b>
    <Box textStyle="small">{of}</Box>
  </Box>
);
