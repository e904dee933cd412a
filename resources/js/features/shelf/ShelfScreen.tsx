import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Shelf, type ShelfInstrument, shelfQuery } from '../../api/shelf';
import { Button, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { InstrumentDialog } from './InstrumentDialog';
import { InstrumentRow } from './InstrumentRow';
import { ShelfParts } from './ShelfParts';

/** The instruments: what each can show, how well it is known, and when it must be calibrated again. */
export default function ShelfScreen() {
  const { data, error, refetch } = useQuery(shelfQuery);
  return (
    <Frame>
      {data !== undefined ? (
        <Instruments shelf={data} />
      ) : error !== null ? (
        <Failure error={error} retry={() => refetch()} />
      ) : (
        <Loading what="the shelf" />
      )}
    </Frame>
  );
}

const Instruments = ({ shelf }: { shelf: Shelf }) => {
  const [edited, setEdited] = useState<ShelfInstrument | 'new' | null>(null);
  const overdue = shelf.instruments.filter((one) => one.state === 'overdue');
  return (
    <>
      <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
        <Title>Shelf</Title>
        <ShelfParts at="instruments" />
        <Box color="soft" flex="1">
          {overdue.length === 0
            ? `${shelf.instruments.length} instruments, none overdue`
            : `${overdue.map((one) => one.name).join(' and ')}: calibration overdue. Readings with it say so.`}
        </Box>
        {shelf.may_keep && (
          <Button look="vivid" onClick={() => setEdited('new')} data-primary>
            Add an instrument
          </Button>
        )}
      </Flex>
      {shelf.instruments.length === 0 ? (
        <Empty title="Nothing on the shelf">A lead adds the instruments the workshop reads with.</Empty>
      ) : (
        <Sheet paddingBlock="1" paddingInline="0" aria-label="Instruments">
          {shelf.instruments.map((one) => (
            <InstrumentRow key={one.id} instrument={one} onEdit={shelf.may_keep ? () => setEdited(one) : null} />
          ))}
        </Sheet>
      )}
      <Box textStyle="small" marginTop="3" maxWidth="184">
        A job keeps the shelf it was opened with, so that its verdicts never change afterwards.
        {!shelf.may_keep && ' A lead keeps the shelf.'}
      </Box>
      {edited !== null && (
        <InstrumentDialog
          key={edited === 'new' ? 'new' : edited.id}
          instrument={edited === 'new' ? null : edited}
          onClose={() => setEdited(null)}
        />
      )}
    </>
  );
};
