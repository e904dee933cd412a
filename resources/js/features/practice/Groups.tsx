import { Box, Flex, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { groupsQuery, type PracticeGroups, removeGroup, takeBackTask } from '../../api/practice';
import { Button, Chip, Sheet } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { day } from '../../lib/time';
import { GroupDialog } from './GroupDialog';
import { TaskDialog } from './TaskDialog';
import { useGroupChange } from './useGroupChange';

type Group = PracticeGroups['groups'][number];
type Task = Group['tasks'][number];

/** Those who learn together, what is set for them, and how far each is. */
export const Groups = () => {
  const { data, error, refetch } = useQuery(groupsQuery);
  if (data === undefined)
    return error !== null ? <Failure error={error} retry={() => refetch()} /> : <Loading what="the groups" />;
  return (
    <Flex direction="column" gap="3" marginBottom="5">
      {data.groups.map((one) => (
        <GroupSheet key={one.id} group={one} all={data} />
      ))}
    </Flex>
  );
};

const GroupSheet = ({ group, all }: { group: Group; all: PracticeGroups }) => {
  const [open, setOpen] = useState<'people' | 'task' | 'remove' | null>(null);
  return (
    <Sheet padding="4" aria-label={group.name} data-group={group.name}>
      <Flex gap="3" alignItems="center" flexWrap="wrap">
        <Box flex="1 1 {sizes.56}" lineHeight="snug">
          <Heading as="h2" fontSize="xl">
            {group.name}
          </Heading>
          <Box color="soft">
            {group.people.length === 0 ? 'Nobody yet' : group.people.map((one) => one.name).join(', ')}
          </Box>
        </Box>
        <Button look="plain" onClick={() => setOpen('task')} data-set-lesson>
          Set a lesson
        </Button>
        <Button look="quiet" onClick={() => setOpen('people')} data-change-group>
          Change
        </Button>
        <Button look="link" onClick={() => setOpen('remove')} data-remove-group>
          Take out
        </Button>
      </Flex>
      {group.tasks.length === 0 ? (
        <Box color="soft" marginTop="2">
          No lesson is set yet.
        </Box>
      ) : (
        group.tasks.map((task) => <TaskRow key={task.id} group={group} task={task} />)
      )}
      {open === 'people' && <GroupDialog group={group} people={all.people} onClose={() => setOpen(null)} />}
      {open === 'task' && <TaskDialog group={group} helps={all.helps} onClose={() => setOpen(null)} />}
      {open === 'remove' && <RemoveDialog group={group} onClose={() => setOpen(null)} />}
    </Sheet>
  );
};

const TaskRow = ({ group, task }: { group: Group; task: Task }) => {
  const taking = useGroupChange(() => takeBackTask(group.id, task.id));
  return (
    <Box borderTopWidth="thin" borderColor="line" marginTop="3" paddingTop="3" data-task={task.lesson}>
      <Flex gap="3" alignItems="baseline" flexWrap="wrap">
        <Box flex="1 1 {sizes.56}" lineHeight="snug">
          <b>{task.title}</b>{' '}
          <Box as="span" color="soft">
            {task.help_label}
            {task.due_on !== null && `, due ${day(task.due_on)}`}
          </Box>
        </Box>
        <Button
          look="link"
          disabled={taking.isPending}
          onClick={() => taking.mutate()}
          aria-label={`Take back: ${task.title}`}
          data-take-back
        >
          Take back
        </Button>
      </Flex>
      <Flex gap="2" flexWrap="wrap" marginTop="1">
        {task.results.map((one) => (
          <Chip key={one.login} tone={one.best === null ? 'quiet' : 'inside'} data-result={one.login}>
            {one.name} {one.best !== null ? one.best : one.open !== null ? 'is at it' : 'not begun'}
          </Chip>
        ))}
      </Flex>
      {taking.error !== null && <Refusal error={taking.error} />}
    </Box>
  );
};

const RemoveDialog = ({ group, onClose }: { group: Group; onClose: () => void }) => {
  const removing = useGroupChange(() => removeGroup(group.id));
  return (
    <Modal
      open
      onClose={onClose}
      title={`Take ${group.name} out?`}
      about="What is set for it goes too. What its people did stays theirs."
      actions={
        <Button look="vivid" disabled={removing.isPending} onClick={() => removing.mutate()} data-primary>
          Take it out
        </Button>
      }
    >
      {removing.error !== null && <Refusal error={removing.error} />}
    </Modal>
  );
};
