import { Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { alikeQuery } from '../../../api/jobs';
import { Choice } from '../../../components/Buttons';
import { mm } from '../../../lib/figures';
import { useBench } from '../useBench';

const aims = [
  { key: 'crisp', name: 'crisp: low in the band' },
  { key: 'middle', name: 'middle of the band' },
  { key: 'loose', name: 'loose: high in the band' },
] as const;

const modes = [
  { key: 'touch_up', name: 'touch-up, covers on' },
  { key: 'service', name: 'service, hidden end first' },
] as const;

const parkings = [
  { key: 'threads', name: '2 to 3 threads out' },
  { key: 'in_then_back', name: 'in, then back a little' },
  { key: 'middle', name: 'middle of its thread' },
] as const;

/** Where to aim, how far the work goes and where service parks: each choice is logged, and the next move follows at once. */
export const SetHow = () => {
  const { state } = useBench();
  const several = state.adjusters.filter((one) => one.sets === 'play').length > 1;
  return (
    <Flex direction="column" gap="1.5">
      <AimFor />
      {several && <Pick name="Work" field="mode" value={state.spec.mode} options={modes} />}
      {several && state.spec.mode === 'service' && (
        <Pick name="Park" field="parking" value={state.spec.parking} options={parkings} />
      )}
    </Flex>
  );
};

type PickProps = {
  name: string;
  field: 'mode' | 'parking';
  value: string;
  options: readonly { key: string; name: string }[];
};

const Pick = ({ name, field, value, options }: PickProps) => {
  const { send } = useBench();
  return (
    <Row name={name}>
      <Choice
        aria-label={name === 'Work' ? 'How far the work goes' : 'Where to park the adjuster in reach'}
        value={value}
        onChange={(event) => send({ kind: 'policy', body: { [field]: event.target.value } })}
        flex="1"
        minWidth="0"
        fontSize="sm"
        data-pick={field}
      >
        {options.map((one) => (
          <option key={one.key} value={one.key}>
            {one.name}
          </option>
        ))}
      </Choice>
    </Row>
  );
};

/** A place in the band, or what another machine of the same make was left at. */
const AimFor = () => {
  const { job, state, send } = useBench();
  const alike = useQuery(alikeQuery(job.id)).data?.machines ?? [];
  const like = alike.filter((one) => inBand(one.left_mm, state.spec.band));
  const choose = (value: string) => {
    const other = like.find((one) => `like ${one.machine}` === value);
    send({
      kind: 'policy',
      body: other === undefined ? { policy: value } : { like: { machine: other.machine, mm: other.left_mm } },
    });
  };
  return (
    <Row name="Aim">
      <Choice
        aria-label="Where in the band to aim"
        value={state.spec.like === null ? state.spec.policy : `like ${state.spec.like}`}
        onChange={(event) => choose(event.target.value)}
        flex="1"
        minWidth="0"
        fontSize="sm"
        data-pick="aim"
      >
        {aims.map((aim) => (
          <option key={aim.key} value={aim.key}>
            {aim.name}
          </option>
        ))}
        {like.map((one) => (
          <option key={one.machine} value={`like ${one.machine}`}>
            like {one.machine}: {mm(one.left_mm)} mm
          </option>
        ))}
        {state.spec.like !== null && !like.some((one) => one.machine === state.spec.like) && (
          <option value={`like ${state.spec.like}`}>like {state.spec.like}</option>
        )}
      </Choice>
    </Row>
  );
};

const inBand = (value: number, band: { low_mm: number | null; high_mm: number | null }) =>
  value >= (band.low_mm ?? 0) && value <= (band.high_mm ?? Number.POSITIVE_INFINITY);

const Row = ({ name, children }: { name: string; children: React.ReactNode }) => (
  <Flex alignItems="center" gap="2" fontSize="sm">
    <Flex as="span" aria-hidden="true" width="2.5rem" flexShrink="0">
      {name}
    </Flex>
    {children}
  </Flex>
);
