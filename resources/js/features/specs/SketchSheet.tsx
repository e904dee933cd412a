import { Box, chakra, Heading } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { keepSketch, type SpecWhole, specQuery } from '../../api/specs';
import { Sheet } from '../../components/Buttons';
import { FilePick } from '../../components/FilePick';
import { Refusal } from '../../components/Refusal';

/** Where the book measures, as its picture shows it. */
export const SketchSheet = ({ spec }: { spec: SpecWhole }) => {
  const client = useQueryClient();
  const keep = useMutation({
    mutationFn: (picture: Blob) => keepSketch(spec.id, picture),
    onSuccess: (after) => client.setQueryData(specQuery(spec.id).queryKey, after),
  });
  if (!spec.has_sketch && !spec.may.change) return null;
  return (
    <Sheet padding="4" aria-label="Sketch">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Where it is measured
      </Heading>
      {spec.has_sketch && (
        <chakra.img
          key={keep.submittedAt}
          src={`/api/specs/${spec.id}/sketch?${keep.submittedAt}`}
          alt={`Where the ${spec.name.toLowerCase()} of the ${spec.model} is measured`}
          maxWidth="100%"
          maxHeight="88"
          borderRadius="md"
        />
      )}
      {spec.may.change && (
        <Box marginTop="2">
          <FilePick accept="image/*" disabled={keep.isPending} onPick={(picture) => keep.mutate(picture)}>
            {spec.has_sketch ? 'Another picture in its place' : 'Add a picture from the book'}
          </FilePick>
        </Box>
      )}
      {keep.isError && <Refusal error={keep.error} />}
    </Sheet>
  );
};
