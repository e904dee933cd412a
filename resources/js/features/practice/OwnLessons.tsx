import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Problem, say } from '../../api/client';
import { keys } from '../../api/keys';
import { type PracticeLessons, removeLesson, takeLesson } from '../../api/practice';
import { Button, LinkButton, Paper } from '../../components/Buttons';
import { FilePick } from '../../components/FilePick';

const NO_LESSON = 'This file is no lesson. Take one that a workshop wrote out: it ends in .json.';

/** The key that stands in a file of a lesson, and the lesson. */
const read = async (file: File): Promise<{ key: string; lesson: unknown }> => {
  try {
    const lesson = JSON.parse(await file.text());
    if (typeof lesson.key === 'string') return { key: lesson.key, lesson };
  } catch {
    // Said below.
  }
  throw new Problem(422, NO_LESSON);
};

const useKeep = () => {
  const client = useQueryClient();
  return (list: PracticeLessons) => client.setQueryData(keys.practice, list);
};

/** For who teaches: a lesson comes in from a file. */
export const TakeIn = () => {
  const keep = useKeep();
  const taking = useMutation({
    mutationFn: async (file: File) => {
      const { key, lesson } = await read(file);
      return takeLesson(key, lesson);
    },
    onSuccess: keep,
  });
  return (
    <>
      <FilePick accept="application/json,.json" disabled={taking.isPending} onPick={(file) => taking.mutate(file)}>
        Take a lesson in
      </FilePick>
      {taking.error !== null && (
        <Box role="alert" flexBasis="100%" color="stop" fontWeight="bold" data-not-taken>
          {say(taking.error)}
        </Box>
      )}
    </>
  );
};

/** A lesson as a file; one of the workshop's own can be taken out. */
export const Keeping = ({ lesson, own }: { lesson: string; own: boolean }) => {
  const keep = useKeep();
  const removing = useMutation({ mutationFn: () => removeLesson(lesson), onSuccess: keep });
  return (
    <Flex gap="1" marginLeft="auto" flexWrap="wrap" justifyContent="flex-end">
      {own && (
        <Button look="link" disabled={removing.isPending} onClick={() => removing.mutate()} data-take-out={lesson}>
          Take out
        </Button>
      )}
      <LinkButton look="link" to={`/practice/lessons/${lesson}/like`} data-like={lesson}>
        Make another like it
      </LinkButton>
      <Paper look="link" href={`/api/practice/lessons/${lesson}`} target="_self" download data-file={lesson}>
        As a file
      </Paper>
    </Flex>
  );
};
