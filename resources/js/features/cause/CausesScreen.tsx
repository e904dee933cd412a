import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { benchQuery } from '../../api/bench';
import { complaintsQuery } from '../../api/complaints';
import { machineQuery, machinesQuery } from '../../api/machines';
import { Field, FieldLabel, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { PickOne } from '../../components/PickOne';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { LookedFor } from '../bench/LookedFor';
import { Reported } from '../bench/Reported';
import { toCause } from './toCause';

const SHOWN = 8;

/** Where one begins when something feels wrong: complaints that are being looked into, and a machine to begin with. */
export default function CausesScreen() {
  const { data, error, refetch } = useQuery(complaintsQuery);
  const { data: day } = useQuery(benchQuery);
  return (
    <Frame>
      <Flex alignItems="center" gap="4" marginBottom="3" flexWrap="wrap">
        <Title marginRight="auto">Find the cause</Title>
        <LinkButton to="/causes/counts" look="quiet" textDecoration="none">
          Causes found
        </LinkButton>
      </Flex>
      <Grid gap="4" templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) {sizes.84}' }} alignItems="start">
        <Begin />
        <Flex direction="column" gap="4" order={{ base: -1, lg: 0 }} _empty={{ display: 'none' }}>
          {data === undefined ? (
            error !== null ? (
              <Failure error={error} retry={() => refetch()} />
            ) : (
              <Loading what="complaints" />
            )
          ) : (
            <LookedFor title="Being looked for" complaints={data.complaints} />
          )}
          <Reported intakes={day?.intakes ?? []} to={toCause} />
        </Flex>
      </Grid>
    </Frame>
  );
}

const Begin = () => {
  const [find, setFind] = useState('');
  const [tag, setTag] = useState<string | null>(null);
  const asked = useDeferredValue(find.trim());
  const { data } = useQuery({ ...machinesQuery(asked), placeholderData: (before) => before });
  const machines = data?.machines.slice(0, SHOWN) ?? [];
  return (
    <Sheet padding="4" aria-label="Which machine">
      <FieldLabel htmlFor="cause-machine">Which machine feels wrong?</FieldLabel>
      <Field
        id="cause-machine"
        type="search"
        placeholder="Tag, plate or name"
        value={find}
        autoComplete="off"
        onChange={(event) => {
          setFind(event.target.value);
          setTag(null);
        }}
      />
      <Box marginTop="3">
        <PickOne
          says="Machine"
          mark="machine"
          options={machines.map((one) => ({ key: one.tag, label: `${one.tag} ${one.name}` }))}
          value={tag}
          onPick={setTag}
        />
        {data !== undefined && machines.length === 0 && <Box color="soft">No machine is called that.</Box>}
      </Box>
      {tag !== null && <Controls tag={tag} />}
    </Sheet>
  );
};

const Controls = ({ tag }: { tag: string }) => {
  const { data } = useQuery(machineQuery(tag));
  if (data === undefined) return <Loading what="its controls" />;
  return (
    <Flex gap="2" flexWrap="wrap" marginTop="4" role="group" aria-label="Which control">
      {data.controls.map((one) => (
        <LinkButton
          key={one.key}
          to={`/machines/${encodeURIComponent(tag)}/${one.key}/cause`}
          look="vivid"
          textDecoration="none"
          data-cause-of={one.key}
        >
          {one.name}
        </LinkButton>
      ))}
    </Flex>
  );
};
