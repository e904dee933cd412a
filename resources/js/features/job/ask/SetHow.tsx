import { Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { alikeQuery, type BenchState } from '../../../api/jobs';
import { type Option, Select } from '../../../components/Select';
import { lengthText } from '../../../lib/figures';
import { useBench } from '../useBench';

const aims: readonly Option[] = [
  { key: 'crisp', label: 'Aim crisp' },
  { key: 'middle', label: 'Aim middle' },
  { key: 'loose', label: 'Aim loose' },
];

const modes: readonly Option[] = [
  { key: 'touch_up', label: 'Touch-up' },
  { key: 'service', label: 'Service' },
];

const parkings: readonly Option[] = [
  { key: 'threads', label: 'Park it two to three threads out' },
  { key: 'in_then_back', label: 'Park it in, then back a little' },
  { key: 'middle', label: 'Park it in the middle' },
];

/** Where to aim, how far the work goes and where service parks: each choice is logged, and the next move follows at once. */
export const SetHow = () => {
  const { state } = useBench();
  const several = state.adjusters.filter((one) => one.sets === 'play').length > 1;
  return (
    <Grid templateColumns={several ? '1fr 1fr' : '1fr'} gap="2" data-set-how>
      <AimFor />
      {several && <Pick says="How far the work goes" field="mode" value={state.spec.mode} options={modes} />}
      {several && state.spec.mode === 'service' && (
        <Pick
          says="Where to park the adjuster in reach"
          field="parking"
          value={state.spec.parking}
          options={parkings}
          wide
        />
      )}
    </Grid>
  );
};

type PickProps = { says: string; field: string; value: string; options: readonly Option[]; wide?: boolean };

const Pick = ({ says, field, value, options, wide = false }: PickProps) => {
  const { send } = useBench();
  return (
    <Select
      beside
      says={says}
      pick={field}
      value={value}
      options={options}
      gridColumn={wide ? '1 / -1' : undefined}
      onPick={(chosen) => send({ kind: 'policy', body: { [field]: chosen } })}
    />
  );
};

const asSent = ({ play_mm, bite, said }: NonNullable<BenchState['wish']>) =>
  Object.fromEntries(Object.entries({ play_mm, bite, said }).filter(([, value]) => value !== null));

/** A place in the band, or what another machine of the same make was left at. */
const AimFor = () => {
  const { job, state, send } = useBench();
  const { band, like, policy } = state.spec;
  const alike = useQuery(alikeQuery(job.id)).data?.machines ?? [];
  const fitting = alike.filter(
    (one) => one.left_mm >= (band.low_mm ?? 0) && one.left_mm <= (band.high_mm ?? Number.POSITIVE_INFINITY),
  );
  const choose = (value: string) => {
    const other = fitting.find((one) => `like ${one.machine}` === value);
    send({
      kind: 'policy',
      body:
        value === 'wish' && state.wish !== null
          ? { wish: asSent(state.wish) }
          : other === undefined
            ? { policy: value }
            : { like: { machine: other.machine, mm: other.left_mm } },
    });
  };
  const wished =
    state.wish?.play_mm == null ? [] : [{ key: 'wish', label: `Rider's wish, ${lengthText(state.wish.play_mm)}` }];
  const others = fitting.map((one) => ({
    key: `like ${one.machine}`,
    label: `Like ${one.machine}, ${lengthText(one.left_mm)}`,
  }));
  const gone = like !== null && !fitting.some((one) => one.machine === like);
  return (
    <Select
      beside
      says="Where in the band to aim"
      pick="aim"
      value={like !== null ? `like ${like}` : state.spec.aims_wish ? 'wish' : policy}
      options={[...aims, ...wished, ...others, ...(gone ? [{ key: `like ${like}`, label: `Like ${like}` }] : [])]}
      onPick={choose}
    />
  );
};
