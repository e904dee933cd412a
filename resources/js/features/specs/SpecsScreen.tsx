import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useId, useState } from 'react';
import { Link } from 'react-router';
import { type SpecBrief, specsQuery } from '../../api/specs';
import { Button, Chip, Field, FieldLabel, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { useSignedIn } from '../../lib/signedIn';

const Row = chakra(Link);

/** The library: every model and control, found by any of its words. */
export default function SpecsScreen() {
  const person = useSignedIn();
  const [find, setFind] = useState('');
  const [page, setPage] = useState(1);
  const asked = useDeferredValue(find);
  const id = useId();
  const { data, error, refetch, isPlaceholderData } = useQuery({
    ...specsQuery(asked.trim(), page),
    placeholderData: keepPreviousData,
  });
  return (
    <Frame>
      <Flex alignItems="flex-end" gap="4" marginBottom="4" flexWrap="wrap">
        <Title marginRight="auto">Specs</Title>
        <Box flex="1 1 {sizes.64}" maxWidth="112">
          <FieldLabel htmlFor={id}>Model, control or document</FieldLabel>
          <Field
            id={id}
            type="search"
            value={find}
            maxLength={80}
            onChange={(event) => {
              setFind(event.target.value);
              setPage(1);
            }}
          />
        </Box>
        {person.may_sign_off && (
          <LinkButton to="/specs/new" look="vivid" textDecoration="none" data-primary>
            Enter a spec
          </LinkButton>
        )}
      </Flex>
      {data === undefined ? (
        error === null ? (
          <Loading what="the library" />
        ) : (
          <Failure error={error} retry={() => refetch()} />
        )
      ) : data.specs.length === 0 ? (
        <Empty title={find === '' ? 'Nothing in the library' : 'Nothing fits these words'}>
          {find === ''
            ? 'Enter the first spec from its document, or from what the trade usually does.'
            : 'Fewer words find more: a model, a control, or the document it stands in.'}
        </Empty>
      ) : (
        <Box opacity={isPlaceholderData ? 0.6 : 1}>
          <Sheet paddingInline="0" paddingBlock="1" aria-label="Specs">
            {data.specs.map((one) => (
              <SpecRow key={one.id} spec={one} />
            ))}
          </Sheet>
          <Flex gap="3" alignItems="center" marginTop="3" flexWrap="wrap">
            <Box color="soft" marginRight="auto">
              {data.total === 1 ? '1 control' : `${data.total} controls`}
              {data.pages > 1 && `, page ${data.page} of ${data.pages}`}
            </Box>
            {data.pages > 1 && (
              <>
                <Button look="plain" disabled={page <= 1} onClick={() => setPage(page - 1)}>
                  Earlier
                </Button>
                <Button look="plain" disabled={page >= data.pages} onClick={() => setPage(page + 1)}>
                  Later
                </Button>
              </>
            )}
          </Flex>
        </Box>
      )}
    </Frame>
  );
}

const SpecRow = ({ spec }: { spec: SpecBrief }) => (
  <Row
    to={`/specs/${spec.id}`}
    display="block"
    textDecoration="none"
    color="ink"
    borderTopWidth="thin"
    borderColor="line"
    paddingInline="4"
    paddingBlock="3"
    _first={{ borderTopWidth: '0' }}
    _hover={{ bg: 'well' }}
    data-spec={`${spec.model}/${spec.control}`}
  >
    <Grid
      templateColumns={{ base: '1fr auto', md: '1.1fr 1.3fr 1.4fr {sizes.34}' }}
      columnGap="4"
      rowGap="1"
      alignItems="center"
    >
      <Box>
        <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
          {spec.model}
        </Box>
        <Box textStyle="small">{spec.name}</Box>
      </Box>
      <Box gridColumn={{ base: '1 / -1', md: 'auto' }} lineHeight="snug">
        {spec.says}
      </Box>
      <Box gridColumn={{ base: '1 / -1', md: 'auto' }} textStyle="small">
        {spec.source}
        <Box>
          version {spec.version}, {spec.machines === 1 ? '1 machine' : `${spec.machines} machines`}
        </Box>
      </Box>
      <Box gridRow={{ base: '1', md: 'auto' }} gridColumn={{ base: '2', md: 'auto' }} justifySelf="end">
        <Standing spec={spec} />
      </Box>
    </Grid>
  </Row>
);

export const Standing = ({ spec }: { spec: Pick<SpecBrief, 'draft' | 'unchecked' | 'common_practice'> }) => (
  <Chip tone={spec.unchecked || spec.common_practice ? 'cantTell' : 'inside'}>
    {spec.draft ? 'draft' : spec.common_practice ? 'common practice' : spec.unchecked ? 'not checked' : 'checked'}
  </Chip>
);
