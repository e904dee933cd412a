import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { cablesQuery, type KnownCable } from '../../api/cables';
import { Button, Field, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { finds } from '../../lib/finds';
import { useInAddress } from '../../lib/useInAddress';
import { ShelfParts } from '../shelf/ShelfParts';
import { CableDialog } from './CableDialog';
import { CableRow } from './CableRow';

const usual = { words: '' };

/** The book of cables: what was measured once, where it fitted and where it was refused. */
export default function CablesScreen() {
  const { data, error, refetch } = useQuery(cablesQuery);
  const [{ words: find }, ask] = useInAddress(usual);
  const words = useDeferredValue(find);
  const [edited, setEdited] = useState<KnownCable | 'new' | null>(null);
  if (data === undefined) {
    return (
      <Frame>{error === null ? <Loading what="the book" /> : <Failure error={error} retry={() => refetch()} />}</Frame>
    );
  }
  const found = data.cables.filter((cable) => {
    const codes = [cable.number, cable.on?.tag, ...cable.told.map((one) => one.tag)];
    return finds(words, [cable.name, ...codes].join(' '), codes);
  });
  return (
    <Frame>
      <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
        <Title>Shelf</Title>
        <ShelfParts at="cables" />
        <Box flex="1 1 {sizes.56}" maxWidth="104" marginLeft={{ md: 'auto' }}>
          <Field
            type="search"
            aria-label="Name, number or machine"
            placeholder="Name, number or machine"
            value={find}
            maxLength={60}
            onChange={(event) => ask({ words: event.target.value })}
          />
        </Box>
        {data.may_keep && (
          <Button look="vivid" onClick={() => setEdited('new')} data-primary>
            Add a cable
          </Button>
        )}
      </Flex>
      {found.length === 0 ? (
        <Empty title={find === '' ? 'No cable in the book' : 'Nothing fits these words'}>
          {find === ''
            ? 'Measure one when it is off: from then on the book says which control it fits.'
            : 'Fewer words find more.'}
        </Empty>
      ) : (
        <Sheet paddingBlock="1" paddingInline="0" aria-label="Cables">
          {found.map((cable) => (
            <CableRow
              key={cable.id}
              cable={cable}
              action={
                data.may_keep ? (
                  <Button look="quiet" onClick={() => setEdited(cable)} aria-label={`Change ${cable.name}`}>
                    Change
                  </Button>
                ) : null
              }
            />
          ))}
        </Sheet>
      )}
      <Box textStyle="small" marginTop="3" maxWidth="184">
        Which of them fits is asked at a control, under Which cable fits. A label is no proof: hold both side by side
        before anything is fitted.
      </Box>
      {edited !== null && (
        <CableDialog
          key={edited === 'new' ? 'new' : edited.id}
          cable={edited === 'new' ? null : edited}
          onClose={() => setEdited(null)}
        />
      )}
    </Frame>
  );
}
