import { Box, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { type SpecBrief, type SpecWhole, specQuery, specsQuery } from '../../../api/specs';
import { Button } from '../../../components/Buttons';
import { Entry } from '../../../components/Entry';
import { Refusal } from '../../../components/Refusal';

const MOST = 5;

/** A spec of another model, copied to begin from. */
export const LikeAnother = ({ onCopy }: { onCopy: (from: SpecWhole) => void }) => {
  const [open, setOpen] = useState(false);
  const [find, setFind] = useState('');
  const asked = useDeferredValue(find.trim());
  const client = useQueryClient();
  const { data } = useQuery({ ...specsQuery(asked, 1), enabled: open });
  const copy = useMutation({
    mutationFn: (from: SpecBrief) => client.fetchQuery(specQuery(from.id)),
    onSuccess: (from) => {
      onCopy(from);
      setOpen(false);
    },
  });
  if (!open) {
    return (
      <Button look="plain" onClick={() => setOpen(true)} data-like-another>
        Like another model
      </Button>
    );
  }
  return (
    <Box data-like>
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Like which?
      </Heading>
      <Entry label="Model, control or document" value={find} onChange={setFind} most={80} name="like" autoFocus />
      {data?.specs.slice(0, MOST).map((one) => (
        <Button
          key={one.id}
          look="quiet"
          width="100%"
          marginTop="2"
          justifyContent="flex-start"
          textAlign="left"
          disabled={copy.isPending}
          onClick={() => copy.mutate(one)}
          data-like={`${one.model}/${one.control}`}
        >
          <Box>
            {one.model}
            <Box textStyle="small" fontFamily="body" fontWeight="normal">
              {one.name}: {one.says}
            </Box>
          </Box>
        </Button>
      ))}
      {data?.specs.length === 0 && <Box marginTop="2">Nothing fits these words.</Box>}
      {copy.isError && <Refusal error={copy.error} />}
      <Button look="link" onClick={() => setOpen(false)}>
        Close
      </Button>
    </Box>
  );
};
