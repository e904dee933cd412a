import { Box, chakra, Grid, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { leadsDayQuery } from '../../api/people';
import { Sheet } from '../../components/Buttons';
import { Mark, type MarkKind } from '../../components/Marks';
import { Empty, Failure, Loading } from '../../components/States';

const Row = chakra(Link);

const marks: Record<string, MarkKind> = {
  tagged: 'tag',
  reported: 'found',
  drafts: 'cant_tell',
  checked: 'next',
  overdue: 'found',
  open: 'to_do',
  bare: 'to_do',
};

/** What a lead needs today: each line leads to where it is done. */
export const LeadsDay = () => {
  const { data, error, refetch } = useQuery(leadsDayQuery);
  if (data === undefined) {
    return error === null ? <Loading what="the day" /> : <Failure error={error} retry={() => refetch()} />;
  }
  if (data.groups.length === 0) {
    return <Empty title="Nothing waits for a lead">No tag, no report, no draft, and every certificate is good.</Empty>;
  }
  return (
    <Grid templateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="4" alignItems="start">
      {data.groups.map((group) => (
        <Sheet key={group.key} paddingTop="3" paddingBottom="1" aria-label={group.title} data-group={group.key}>
          <Heading as="h2" fontSize="lg" paddingInline="4" marginBottom="1">
            {group.title}
          </Heading>
          {group.rows.map((row) => (
            <Row
              key={row.to + row.title + row.says}
              to={row.to}
              display="flex"
              gap="3"
              alignItems="flex-start"
              minHeight="touch"
              paddingInline="4"
              paddingBlock="2"
              borderTopWidth="thin"
              borderColor="line"
              color="ink"
              textDecoration="none"
              lineHeight="snug"
              _hover={{ bg: 'well' }}
            >
              <Mark kind={marks[group.key] ?? 'to_do'} size="text" style={{ marginTop: '2px' }} />
              <Box minWidth="0" overflowWrap="anywhere">
                <b>{row.title}</b>
                <Box textStyle="small">{row.says}</Box>
              </Box>
            </Row>
          ))}
          {group.more > 0 && (
            <Box textStyle="small" paddingInline="4" paddingBlock="2">
              And {group.more} more.
            </Box>
          )}
        </Sheet>
      ))}
    </Grid>
  );
};
