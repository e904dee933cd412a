import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { type CauseCounts, causeCountsQuery, changeCounts } from '../../api/complaints';
import { families } from '../../api/contract/vocabulary.gen';
import { keys } from '../../api/keys';
import { Button, Field, FieldLabel, LinkButton, Sheet } from '../../components/Buttons';
import { NotSaved, useSeen } from '../../components/ChangedSince';
import { Frame } from '../../components/Frame';
import { Select } from '../../components/Select';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { decimals } from '../../lib/figures';
import { useSignedIn } from '../../lib/signedIn';

/** How often each cause was at the bottom of it: what moves the chances a search starts from. A lead puts it right or begins anew. */
export default function CountsScreen() {
  const [found, setFound] = useSearchParams();
  const asked = found.get('family');
  const family = families.find((one) => one.key === asked)?.key ?? 'clutch_lever';
  const { data, error, refetch } = useQuery(causeCountsQuery(family));
  return (
    <Frame>
      <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
        <Title marginRight="auto">Causes found</Title>
        <LinkButton to="/causes" look="quiet" textDecoration="none">
          Find the cause
        </LinkButton>
      </Flex>
      <Flex direction="column" gap="4" maxWidth="208">
        <Box>
          <FieldLabel htmlFor="counts-family">Kind of control</FieldLabel>
          <Select
            id="counts-family"
            value={family}
            onPick={(picked) => setFound({ family: picked }, { replace: true })}
            options={families}
          />
        </Box>
        {data !== undefined ? (
          <Counts key={`${data.family} ${data.etag}`} counts={data} />
        ) : error !== null ? (
          <Failure error={error} retry={() => refetch()} />
        ) : (
          <Loading what="the counts" />
        )}
      </Flex>
    </Frame>
  );
}

const percent = (chance: number) => `${decimals(100 * chance, chance < 0.1 ? 1 : 0)} %`;

const Counts = ({ counts }: { counts: CauseCounts }) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const { seen, onError } = useSeen(counts.etag);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [anew, setAnew] = useState(false);
  const elsewhere = counts.causes.reduce((sum, one) => sum + one.elsewhere, 0);
  const here = counts.causes.reduce((sum, one) => sum + one.here, 0);
  const save = useMutation({
    mutationFn: (body: Parameters<typeof changeCounts>[1]) => changeCounts(counts.family, body, seen),
    onSuccess: (after) => {
      client.setQueryData(causeCountsQuery(counts.family).queryKey, after);
      void client.invalidateQueries({ queryKey: keys.complaint('').slice(0, 1) });
    },
    onError,
  });
  const wrong = Object.values(typed).some((one) => !/^\d{1,6}$/.test(one.trim()));
  const changed = Object.fromEntries(
    Object.entries(typed)
      .filter(([key, one]) => Number(one) !== counts.causes.find((cause) => cause.key === key)?.here)
      .map(([key, one]) => [key, Number(one)]),
  );
  const may = person.may_keep_shop && !save.isPending;
  return (
    <Sheet padding="4" aria-label="Counts">
      <Box color="soft" marginBottom="3" lineHeight="snug">
        {here === 0
          ? 'Nothing was counted here yet. A search starts from common practice.'
          : `${here} ${here === 1 ? 'complaint' : 'complaints'} counted here.`}
        {elsewhere > 0 && ` ${elsewhere} counted by other workshops.`} Twenty of them weigh as much as common practice.
      </Box>
      <Grid templateColumns="1fr auto auto" columnGap={{ base: '3', md: '6' }} alignItems="center">
        <Head />
        {counts.causes.map((one) => (
          <Grid
            key={one.key}
            templateColumns="subgrid"
            gridColumn="1 / -1"
            alignItems="center"
            borderTopWidth="thin"
            borderColor="line"
            minHeight="touch"
            paddingBlock="1"
            data-count={one.key}
          >
            <Box lineHeight="snug">
              {one.label}
              {one.elsewhere > 0 && <Box textStyle="small">{one.elsewhere} elsewhere</Box>}
            </Box>
            {person.may_keep_shop ? (
              <Field
                aria-label={`Found here: ${one.label}`}
                inputMode="numeric"
                width="20"
                textAlign="right"
                value={typed[one.key] ?? String(one.here)}
                onChange={(event) => setTyped((now) => ({ ...now, [one.key]: event.target.value }))}
              />
            ) : (
              <Box textAlign="right" fontWeight="bold" fontVariantNumeric="tabular-nums">
                {one.here}
              </Box>
            )}
            <Box textAlign="right" fontVariantNumeric="tabular-nums" data-chance>
              {percent(one.chance)}
              <Box textStyle="small">{percent(one.practice)} in the trade</Box>
            </Box>
          </Grid>
        ))}
      </Grid>
      {save.isError && (
        <NotSaved
          error={save.error}
          fields={Object.entries(changed).map(([name, mine]) => ({
            name,
            label: counts.causes.find((one) => one.key === name)?.label ?? name,
            mine: String(mine),
          }))}
        />
      )}
      {person.may_keep_shop && (
        <Flex gap="2" flexWrap="wrap" marginTop="4">
          <Button
            look="vivid"
            disabled={!may || wrong || Object.keys(changed).length === 0}
            onClick={() => save.mutate({ here: changed })}
            data-primary
          >
            Save
          </Button>
          {elsewhere > 0 && (
            <Button disabled={!may} onClick={() => save.mutate({ here: {}, without_elsewhere: true })} data-here-only>
              Leave out other workshops
            </Button>
          )}
          {here > 0 && (
            <Button
              look={anew ? 'dark' : 'quiet'}
              disabled={!may}
              onClick={() =>
                anew
                  ? save.mutate({ here: Object.fromEntries(counts.causes.map((one) => [one.key, 0])) })
                  : setAnew(true)
              }
              data-anew
            >
              {anew ? `Count from nothing: ${here} are left out` : 'Count anew'}
            </Button>
          )}
          {wrong && <Box role="alert">A count is a whole number, such as 12.</Box>}
        </Flex>
      )}
    </Sheet>
  );
};

const Head = () => (
  <>
    <Box textStyle="eyebrow">Cause</Box>
    <Box textStyle="eyebrow" textAlign="right">
      Found here
    </Box>
    <Box textStyle="eyebrow" textAlign="right">
      Starts at
    </Box>
  </>
);
