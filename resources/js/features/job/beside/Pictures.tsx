import { chakra, Flex } from '@chakra-ui/react';
import { clock } from '../../../lib/time';
import { useBench } from '../useBench';

/** The pictures of this job, each opening whole. */
export const Pictures = () => {
  const { job, state } = useBench();
  if (state.beside.photos.length === 0) return null;
  return (
    <Flex gap="2" flexWrap="wrap" aria-label="Pictures" role="group">
      {state.beside.photos.map((photo) => (
        <a key={photo.id} href={`/api/jobs/${job.id}/photos/${photo.id}`} target="_blank" rel="noreferrer">
          <chakra.img
            src={`/api/jobs/${job.id}/photos/${photo.id}`}
            alt={`${photo.of}, ${photo.by} ${clock(photo.at)}`}
            width="24"
            height="18"
            objectFit="cover"
            borderRadius="md"
            borderWidth="thick"
            borderColor="line"
          />
        </a>
      ))}
    </Flex>
  );
};
