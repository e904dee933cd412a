import { Box, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { auditQuery } from '../../api/people';
import { Button, Sheet } from '../../components/Buttons';
import { Empty, Failure, Loading } from '../../components/States';
import { plain } from '../../lib/plain';
import { moment } from '../../lib/time';

/** A detail, or what it was and what it is now. */
const said = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'before' in value && 'after' in value
    ? `${plain(value.before)}, now ${plain(value.after)}`
    : plain(value);

/** What was done to the shop rather than to a job, newest first. */
export const AuditList = () => {
  const [before, setBefore] = useState<number | null>(null);
  const { data, error, refetch } = useQuery(auditQuery(before));
  if (data === undefined) {
    return error === null ? <Loading what="what was done" /> : <Failure error={error} retry={() => refetch()} />;
  }
  if (data.audits.length === 0) {
    return <Empty title="Nothing yet">People added, specs checked and put in force, machines retired show here.</Empty>;
  }
  const last = data.audits[data.audits.length - 1];
  return (
    <>
      <Sheet overflow="hidden" aria-label="What was done">
        {data.audits.map((one) => (
          <Grid
            key={one.id}
            templateColumns={{ base: '1fr', md: '{sizes.40} {sizes.36} 1fr' }}
            columnGap="4"
            paddingInline="4"
            paddingBlock="2"
            borderTopWidth="thin"
            borderColor="line"
            _first={{ borderTopWidth: '0' }}
            data-audit={one.action}
          >
            <Box textStyle="small">{moment(one.at)}</Box>
            <Box>{one.by ?? 'the server'}</Box>
            <Box lineHeight="snug">
              <b>{one.action}</b>: {one.about}
              {Object.entries(one.detail).map(([key, value]) => (
                <Box key={key} textStyle="small">
                  {key.replace('_', ' ')}: {said(value)}
                </Box>
              ))}
            </Box>
          </Grid>
        ))}
      </Sheet>
      {(data.more || before !== null) && (
        <Box marginTop="3">
          {before !== null && (
            <Button look="plain" onClick={() => setBefore(null)}>
              Newest
            </Button>
          )}{' '}
          {data.more && last !== undefined && (
            <Button look="plain" onClick={() => setBefore(last.id)}>
              Earlier
            </Button>
          )}
        </Box>
      )}
    </>
  );
};
