import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { addBridge, bridgesQuery, endBridge, type GaugeBridge } from '../../api/gauges';
import { simulatedQuery } from '../../api/simulated';
import { Button, Sheet } from '../../components/Buttons';
import { Entry } from '../../components/Entry';
import { Frame } from '../../components/Frame';
import { Mark } from '../../components/Marks';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { useSignedIn } from '../../lib/signedIn';
import { moment } from '../../lib/time';
import { ShelfParts } from './ShelfParts';
import { Simulated } from './Simulated';

/** Gauges that speak: the computers they hang on, and in the demo gauges that are none, to try it with. */
export default function GaugesScreen() {
  const lead = useSignedIn().may_keep_shop;
  const { data: simulated } = useQuery(simulatedQuery);
  return (
    <Frame>
      <Flex direction="column" gap="4">
        <Flex alignItems="center" gap="4" wrap="wrap">
          <Title>Shelf</Title>
          <ShelfParts at="gauges" />
        </Flex>
        <Box maxWidth="184" lineHeight="snug">
          A gauge with a cable sends its reading when its button is pressed. It lands in the job that is open on your
          device, once you let the gauge speak there, and nowhere else.
        </Box>
        {lead && <Computers />}
        {(simulated?.gauges.length ?? 0) > 0 && <Simulated gauges={simulated?.gauges ?? []} />}
        {!lead && simulated?.gauges.length === 0 && (
          <Empty title="A lead sets this up">
            The computers that gauges hang on are kept by a lead. In a job, a gauge that is there can be let speak.
          </Empty>
        )}
      </Flex>
    </Frame>
  );
}

const Computers = () => {
  const { data, error, refetch } = useQuery(bridgesQuery);
  const [adding, setAdding] = useState(false);
  if (data === undefined)
    return error === null ? <Loading what="the computers" /> : <Failure error={error} retry={() => refetch()} />;
  return (
    <Sheet padding="0" aria-label="Computers with gauges">
      <Flex justifyContent="space-between" alignItems="center" gap="3" padding="4">
        <Heading as="h2" fontSize="lg">
          Computers with gauges
        </Heading>
        <Button look="dark" onClick={() => setAdding(true)} data-add-bridge>
          Add a computer
        </Button>
      </Flex>
      {data.bridges.length === 0 && (
        <Box paddingInline="4" paddingBottom="4" lineHeight="snug">
          None yet. Gauges on serial lines and on the network hang on a computer of the workshop, which sends what they
          show with a token of its own.
        </Box>
      )}
      {data.bridges.map((bridge) => (
        <Computer key={bridge.id} bridge={bridge} />
      ))}
      {adding && <AddComputer onClose={() => setAdding(false)} />}
    </Sheet>
  );
};

const Computer = ({ bridge }: { bridge: GaugeBridge }) => {
  const client = useQueryClient();
  const [parting, setParting] = useState(false);
  const end = useMutation({
    mutationFn: () => endBridge(bridge.id),
    onSuccess: (after) => client.setQueryData(bridgesQuery.queryKey, after),
  });
  return (
    <Grid
      templateColumns={{ base: '1fr auto', md: '1.2fr 1.4fr 1.2fr auto' }}
      columnGap="5"
      rowGap="1"
      alignItems="center"
      paddingInline="4"
      paddingBlock="3"
      borderTopWidth="thin"
      borderColor="line"
      data-bridge={bridge.name}
    >
      <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
        {bridge.name}
      </Box>
      <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
        {bridge.carries.length === 0 ? 'It named no gauge yet' : bridge.carries.join(', ')}
      </Box>
      <Flex gap="2" alignItems="center" gridColumn={{ base: '1 / -1', md: 'auto' }}>
        <Mark kind={bridge.there ? 'inside' : 'cant_tell'} size="text" />
        {bridge.there
          ? 'It is there'
          : bridge.seen_at === null
            ? 'Not heard of yet'
            : `Not heard of since ${moment(bridge.seen_at)}`}
      </Flex>
      <Box gridRow={{ base: '1', md: 'auto' }} gridColumn={{ base: '2', md: 'auto' }}>
        <Button
          look="quiet"
          onClick={() => (parting ? end.mutate() : setParting(true))}
          onBlur={() => setParting(false)}
          data-end-bridge
        >
          {parting ? 'Yes, end its token' : 'End'}
        </Button>
      </Box>
      {end.isError && <Refusal error={end.error} />}
    </Grid>
  );
};

const AddComputer = ({ onClose }: { onClose: () => void }) => {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const add = useMutation({
    mutationFn: () => addBridge(name.trim()),
    onSuccess: ({ bridges }) => client.setQueryData(bridgesQuery.queryKey, { bridges }),
  });
  const token = add.data?.token;
  return (
    <Modal
      open
      onClose={onClose}
      title={token === undefined ? 'Add a computer with gauges' : `The token of ${name.trim()}`}
      cancel={token === undefined ? 'Cancel' : 'Done'}
      actions={
        token === undefined && (
          <Button look="vivid" onClick={() => add.mutate()} disabled={name.trim() === '' || add.isPending} data-primary>
            {add.isPending ? 'Adding' : 'Add'}
          </Button>
        )
      }
    >
      {token === undefined ? (
        <Entry label="What it is called" value={name} onChange={setName} most={60} autoFocus />
      ) : (
        <Flex direction="column" gap="3" lineHeight="snug">
          <Box>It is shown only now. Put it into the file of settings on that computer:</Box>
          <Box
            as="pre"
            bg="well"
            borderRadius="sm"
            padding="3"
            fontSize="sm"
            whiteSpace="pre-wrap"
            overflowWrap="anywhere"
            data-token={token}
          >
            {settings(token)}
          </Box>
          <Box textStyle="small">
            Then start bin/gauges with that file there. It can send readings and nothing else, until you end it here.
          </Box>
        </Flex>
      )}
      {add.isError && <Refusal error={add.error} />}
    </Modal>
  );
};

const settings = (token: string) =>
  `{
  "server": "${location.origin}",
  "token": "${token}",
  "gauges": [
    { "instrument": "caliper-1", "port": "/dev/ttyUSB0" }
  ]
}`;
