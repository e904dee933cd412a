import { Box, Flex, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { keys } from '../../api/keys';
import { addControl, type Machine, machineQuery } from '../../api/machines';
import type { SpecBrief } from '../../api/specs';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { MachineTag } from '../../components/MachineTag';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { useSignedIn } from '../../lib/signedIn';
import { NewSpec } from '../specs/SpecEditScreen';
import { Standing } from '../specs/SpecsScreen';
import { useLacking } from './useLacking';

/** Another control for a machine: from the library, or entered now with its spec and its run. */
export default function AddControlScreen() {
  const { tag = '' } = useParams();
  const { data, error, refetch } = useQuery(machineQuery(tag));
  return (
    <Frame>
      {data !== undefined ? (
        <Whole machine={data} />
      ) : error !== null ? (
        <Failure error={error} retry={() => refetch()} />
      ) : (
        <Loading what={tag} />
      )}
    </Frame>
  );
}

const pathOf = (machine: Machine) => `/machines/${encodeURIComponent(machine.tag)}`;

const Whole = ({ machine }: { machine: Machine }) => {
  const navigate = useNavigate();
  const lacking = useLacking(machine);
  const [entering, setEntering] = useState(false);
  if (lacking === undefined) return <Loading what="the library" />;
  const isEntering = entering || lacking.length === 0;
  return (
    <>
      <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
        <MachineTag tag={machine.tag} />
        <Box marginRight="auto">
          <Title tag={machine.tag}>Add a control</Title>
          <Box color="soft">{machine.name}</Box>
        </Box>
        {!isEntering && (
          <>
            <Button look="plain" onClick={() => setEntering(true)} data-enter-spec>
              Enter another from its book
            </Button>
            <LinkButton to={pathOf(machine)} look="quiet" textDecoration="none">
              Cancel
            </LinkButton>
          </>
        )}
      </Flex>
      {isEntering ? (
        <NewSpec
          model={machine.name}
          hangs
          back={pathOf(machine)}
          onSaved={(after) => navigate(`${pathOf(machine)}#${after.control}`)}
        />
      ) : (
        <FromLibrary machine={machine} lacking={lacking} />
      )}
    </>
  );
};

const FromLibrary = ({ machine, lacking }: { machine: Machine; lacking: SpecBrief[] }) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const navigate = useNavigate();
  const add = useMutation({
    mutationFn: (spec: SpecBrief) => addControl(machine.tag, spec.id),
    onSuccess: (after, spec) => {
      client.setQueryData(machineQuery(after.tag).queryKey, after);
      for (const queryKey of [keys.machines, keys.bench, keys.due, keys.specs]) {
        void client.invalidateQueries({ queryKey });
      }
      navigate(`${pathOf(machine)}#${spec.control}`);
    },
  });
  return (
    <Sheet padding="4" aria-label="In the library">
      <Heading as="h2" fontSize="lg">
        The library has for this model
      </Heading>
      {lacking.map((spec) => (
        <Flex
          key={spec.id}
          gap="3"
          alignItems="center"
          flexWrap="wrap"
          borderTopWidth="thin"
          borderColor="line"
          marginTop="3"
          paddingTop="3"
          data-lacking={spec.control}
        >
          <Box flex="1 1 {sizes.56}">
            <b>{spec.name}</b>
            <Box textStyle="small">{spec.says}</Box>
          </Box>
          <Standing spec={spec} />
          {spec.draft || !person.may_keep_shop ? (
            <LinkButton to={`/specs/${spec.id}`} look="plain" textDecoration="none">
              {spec.draft ? 'Look at the draft' : 'Look at it; a lead adds it'}
            </LinkButton>
          ) : (
            <Button look="vivid" onClick={() => add.mutate(spec)} disabled={add.isPending} data-add-control>
              Add the {spec.name.toLowerCase()}
            </Button>
          )}
        </Flex>
      ))}
      {add.isError && <Refusal error={add.error} />}
    </Sheet>
  );
};
