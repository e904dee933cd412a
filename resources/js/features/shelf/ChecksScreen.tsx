import { Box, Flex, Heading } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { checksQuery, type KeptCheck, shelfQuery, shows } from '../../api/shelf';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { moment } from '../../lib/time';
import { BlocksForm } from './BlocksForm';
import { InstrumentDialog } from './InstrumentDialog';
import { StudyForm } from './StudyForm';
import { Told } from './Told';

const ways = [
  { key: 'blocks', label: 'Against blocks' },
  { key: 'study', label: 'Several hands' },
] as const;

/** An instrument held against blocks whose size is known, and in several hands: what that tells of it. */
export default function ChecksScreen() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useQuery(checksQuery(id));
  const [way, setWay] = useState<(typeof ways)[number]['key']>('blocks');
  const client = useQueryClient();
  const kept = (checks: readonly KeptCheck[]) => {
    client.setQueryData(checksQuery(id).queryKey, (before) =>
      before === undefined ? before : { ...before, checks: [...checks] },
    );
    void client.invalidateQueries({ queryKey: shelfQuery.queryKey });
  };
  if (data === undefined)
    return (
      <Frame>
        {error === null ? <Loading what="its checks" /> : <Failure error={error} retry={() => refetch()} />}
      </Frame>
    );
  const unit = shows(data.instrument.kind);
  return (
    <Frame>
      <Flex direction="column" gap="4">
        <Flex alignItems="center" gap="4" wrap="wrap">
          <Title>{data.instrument.name}: checks</Title>
          <LinkButton to="/shelf" look="quiet" textDecoration="none">
            To the shelf
          </LinkButton>
        </Flex>
        {data.may_keep && (
          <Sheet padding="4" aria-label="A new check">
            <Flex gap="2" role="group" aria-label="Kind of check" marginBottom="3">
              {ways.map((one) => (
                <Button
                  key={one.key}
                  look={one.key === way ? 'dark' : 'plain'}
                  aria-pressed={one.key === way}
                  onClick={() => setWay(one.key)}
                  data-way={one.key}
                >
                  {one.label}
                </Button>
              ))}
            </Flex>
            {way === 'blocks' ? (
              <BlocksForm id={id} unit={unit} onKept={kept} />
            ) : (
              <StudyForm id={id} unit={unit} onKept={kept} />
            )}
          </Sheet>
        )}
        <Sheet padding="0" aria-label="Checks so far">
          <Heading as="h2" fontSize="lg" padding="4">
            Checks so far
          </Heading>
          {data.checks.length === 0 && (
            <Box paddingInline="4" paddingBottom="4">
              Nobody has checked it yet.
            </Box>
          )}
          {data.checks.map((one) => (
            <Kept key={one.id} id={id} check={one} mayKeep={data.may_keep} />
          ))}
        </Sheet>
      </Flex>
    </Frame>
  );
}

const Kept = ({ id, check, mayKeep }: { id: string; check: KeptCheck; mayKeep: boolean }) => {
  const [open, setOpen] = useState(false);
  const { data: shelf } = useQuery(shelfQuery);
  const instrument = shelf?.instruments.find((one) => one.id === id);
  const { told } = check;
  return (
    <Flex
      gap="4"
      wrap="wrap"
      justifyContent="space-between"
      alignItems="flex-start"
      padding="4"
      borderTopWidth="thin"
      borderColor="line"
      data-check={told.kind}
    >
      <Box flex="1" minWidth="60">
        <Box textStyle="small">
          {moment(check.at)}, {check.by}
        </Box>
        <Told told={told} />
      </Box>
      {mayKeep && told.kind === 'blocks' && instrument !== undefined && (
        <Button look="plain" onClick={() => setOpen(true)} data-as-certificate>
          Take it as its certificate
        </Button>
      )}
      {open && instrument !== undefined && told.kind === 'blocks' && (
        <InstrumentDialog
          instrument={instrument}
          certificate={{ expanded: told.expanded, factor: told.factor }}
          onClose={() => setOpen(false)}
        />
      )}
    </Flex>
  );
};
