import { Box, Flex, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { groupsQuery, learnersQuery } from '../../api/practice';
import { Button, LinkButton, Paper, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { day } from '../../lib/time';
import { GroupDialog } from './GroupDialog';
import { Groups } from './Groups';
import { Skills } from './Skills';

/** Who learns together is a group. */
const NewGroup = () => {
  const { data } = useQuery(groupsQuery);
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="plain" disabled={data === undefined} onClick={() => setOpen(true)} data-new-group>
        New group
      </Button>
      {open && data !== undefined && <GroupDialog group={null} people={data.people} onClose={() => setOpen(false)} />}
    </>
  );
};

/** How everybody does who learns here, for whoever teaches. */
export default function LearnersScreen() {
  const { data, error, refetch } = useQuery(learnersQuery);
  return (
    <Frame>
      <Flex alignItems="center" gap="4" marginBottom="3" flexWrap="wrap">
        <Title marginRight="auto">Who learns</Title>
        <NewGroup />
        <Paper look="quiet" href="/api/export/practice" target="_self" download textDecoration="none" data-csv>
          All attempts as CSV
        </Paper>
        <LinkButton to="/practice" look="quiet" textDecoration="none">
          The lessons
        </LinkButton>
      </Flex>
      <Groups />
      {data === undefined ? (
        error !== null ? (
          <Failure error={error} retry={() => refetch()} />
        ) : (
          <Loading what="who learns" />
        )
      ) : data.learners.length === 0 ? (
        <Empty title="Nobody has begun a lesson yet">Everybody who is signed in finds them under Practice.</Empty>
      ) : (
        <Flex direction="column" gap="3">
          {data.learners.map((one) => (
            <Sheet key={one.login} padding="4" aria-label={one.name} data-learner={one.login}>
              <Flex gap="4" flexWrap="wrap">
                <Box flex="1 1 {sizes.56}" lineHeight="snug">
                  <Heading as="h2" fontSize="xl">
                    {one.name}
                  </Heading>
                  <Box>
                    {one.learned} of {data.lessons} learned, {one.tries === 1 ? '1 attempt' : `${one.tries} attempts`}
                  </Box>
                  {one.at !== null && <Box>Open: {one.at}</Box>}
                  {one.remark !== null && <Box fontWeight="bold">{one.remark}</Box>}
                  <Box color="soft">Last {day(one.last)}</Box>
                </Box>
                <Box flex="1 1 {sizes.88}">
                  <Skills skills={one.skills.slice(0, 4)} />
                </Box>
              </Flex>
            </Sheet>
          ))}
        </Flex>
      )}
    </Frame>
  );
}
