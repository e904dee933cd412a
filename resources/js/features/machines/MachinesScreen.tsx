import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type MachineBrief, machinesQuery } from '../../api/machines';
import { Button, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { MachineTag } from '../../components/MachineTag';
import { Empty, Failure, Loading } from '../../components/States';
import { capital } from '../../lib/capital';
import { counted } from '../../lib/figures';
import { useSignedIn } from '../../lib/signedIn';
import { NewMachine } from './NewMachine';

const Card = chakra(Link);

/** The yard, tag by tag, as it hangs on the board. */
export default function MachinesScreen() {
  const { data, error, refetch } = useQuery(machinesQuery(''));
  return (
    <Frame>
      {data !== undefined ? (
        <Yard machines={data.machines} />
      ) : error !== null ? (
        <Failure error={error} retry={() => refetch()} />
      ) : (
        <Loading what="the machines" />
      )}
    </Frame>
  );
}

const Yard = ({ machines }: { machines: readonly MachineBrief[] }) => {
  const person = useSignedIn();
  const [adding, setAdding] = useState(false);
  const kinds = [...new Set(machines.map((machine) => machine.kind))];
  return (
    <>
      <Flex alignItems="baseline" gap="4" marginBottom="4">
        <Heading as="h1" fontSize="2xl">
          Machines
        </Heading>
        <Box color="soft" flex="1">
          {machines.length} in the yard
        </Box>
        {person.may_keep_shop && (
          <Button look="vivid" onClick={() => setAdding(true)} data-primary>
            Add a machine
          </Button>
        )}
      </Flex>
      {adding && <NewMachine onClose={() => setAdding(false)} />}
      {machines.length === 0 && (
        <Empty title="No machines yet">The workshop's machines show here once they are entered.</Empty>
      )}
      {kinds.map((kind) => (
        <Box as="section" key={kind} marginBottom="6" aria-label={kind}>
          <Heading as="h2" fontSize="lg" marginBottom="2">
            {plural(kind)}
          </Heading>
          <Grid templateColumns="repeat(auto-fill, minmax(17rem, 1fr))" gap="3">
            {machines
              .filter((machine) => machine.kind === kind)
              .map((machine) => (
                <Sheet key={machine.tag} overflow="hidden">
                  <Card
                    to={`/machines/${encodeURIComponent(machine.tag)}`}
                    display="flex"
                    gap="3"
                    alignItems="center"
                    padding="3"
                    minHeight="4.25rem"
                    textDecoration="none"
                    color="ink"
                    _hover={{ bg: 'well' }}
                    _focusVisible={{ outlineOffset: '-3px' }}
                  >
                    <Box width="5.25rem" flexShrink="0">
                      <MachineTag tag={machine.tag} />
                    </Box>
                    <Box minWidth="0">
                      <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
                        {machine.name}
                      </Box>
                      <Box textStyle="small">
                        {machine.place} · {counted(machine.usage)} {machine.usage_unit}
                      </Box>
                    </Box>
                  </Card>
                </Sheet>
              ))}
          </Grid>
        </Box>
      ))}
    </>
  );
};

const plural = (kind: string) => `${capital(kind)}s`;
