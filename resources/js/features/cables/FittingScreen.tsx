import { Box, Flex, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { type FittingCable, type FittingCables, fittingQuery } from '../../api/cables';
import { Problem } from '../../api/client';
import { Button, Chip, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { MachineTag } from '../../components/MachineTag';
import { Mark } from '../../components/Marks';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { lengthText, lengthUnit } from '../../lib/figures';
import { CableDialog } from './CableDialog';
import { CableRow, cableSays } from './CableRow';
import { Lands, MatchChip } from './MatchSays';

/** Which known cable fits a control, before anything is ordered. */
export default function FittingScreen() {
  const { tag = '', control = '' } = useParams();
  const { data, error, refetch } = useQuery(fittingQuery(tag, control));
  const missing = error instanceof Problem && error.status === 404;
  return (
    <Frame>
      {data !== undefined ? (
        <Whole tag={tag} control={control} fitting={data} />
      ) : error !== null ? (
        <Failure error={missing ? new Problem(404, `${tag} has no such control.`) : error} retry={() => refetch()}>
          <LinkButton to="/machines" look="quiet" textDecoration="none">
            All machines
          </LinkButton>
        </Failure>
      ) : (
        <Loading what="the book" />
      )}
    </Frame>
  );
}

type WholeProps = { tag: string; control: string; fitting: FittingCables };

const Whole = ({ tag, control, fitting }: WholeProps) => {
  const [measuring, setMeasuring] = useState(false);
  const [all, setAll] = useState(false);
  const mayFit = fitting.cables.filter((cable) => cable.verdict !== 'does_not_fit' && cable.before !== false);
  const shown = all ? fitting.cables : mayFit;
  return (
    <>
      <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
        <MachineTag tag={tag} />
        <Box marginRight="auto">
          <Title tag={tag}>Which cable fits the {fitting.name.toLowerCase()}?</Title>
          <Box color="soft">
            {fitting.left_mm === null
              ? 'No play is known of it: what a cable would land at cannot be told.'
              : `Left with ${lengthText(fitting.left_mm)} ${lengthUnit()} of play.`}
            {fitting.about !== null && ` Of its cables: ${fitting.about.toLowerCase()}.`}
          </Box>
        </Box>
        <LinkButton to={`/machines/${encodeURIComponent(tag)}#${control}`} look="quiet" textDecoration="none">
          Back to {tag}
        </LinkButton>
      </Flex>
      <Sheet padding="4" marginBottom="4" aria-label="On it now">
        <Heading as="h2" fontSize="lg">
          On it now
        </Heading>
        {fitting.on === null ? (
          <>
            <Box marginBlock="2" lineHeight="snug">
              Nobody measured the cable that is on it. Measured once, off the machine, it says which others fit.
            </Box>
            {fitting.may_keep && (
              <Button look="vivid" onClick={() => setMeasuring(true)} data-measure-on>
                Measure it
              </Button>
            )}
          </>
        ) : (
          <Box data-on={fitting.on.name}>
            <b>{fitting.on.name}</b> {fitting.on.number}
            <Box textStyle="small">{cableSays(fitting.on)}</Box>
          </Box>
        )}
      </Sheet>
      {fitting.cables.length === 0 ? (
        <Empty title="No other cable in the book">
          <LinkButton to="/shelf/cables" look="plain" textDecoration="none">
            The book of cables
          </LinkButton>
        </Empty>
      ) : (
        <Sheet paddingBlock="1" paddingInline="0" aria-label="Known cables, best first">
          {shown.map((cable) => (
            <CableRow key={cable.id} cable={cable} verdict={<Verdict cable={cable} />} action={null} />
          ))}
          {shown.length === 0 && (
            <Box paddingInline="4" paddingTop="3" data-none-fits>
              <b>No cable of the book is known to fit.</b>
            </Box>
          )}
          {shown.length < fitting.cables.length && (
            <Box padding="3">
              <Button look="quiet" onClick={() => setAll(true)} data-all-cables>
                Also show what does not fit: {fitting.cables.length - shown.length}
              </Button>
            </Box>
          )}
        </Sheet>
      )}
      <Box textStyle="small" marginTop="3" maxWidth="184">
        A label is no proof of fit: compare both ends and both lengths side by side before anything is fitted.
      </Box>
      {measuring && (
        <CableDialog
          cable={null}
          control={fitting.control}
          name={`${fitting.name}, ${tag}`}
          onClose={() => setMeasuring(false)}
        />
      )}
    </>
  );
};

const Verdict = ({ cable }: { cable: FittingCable }) => (
  <Box marginTop="2" data-fits={cable.verdict}>
    <Flex gap="2" flexWrap="wrap">
      {cable.before === false && (
        <Chip tone="stop">
          <Mark kind="wrong" onDark />
          Refused here before
        </Chip>
      )}
      <MatchChip match={cable} />
      {cable.before === true && <Chip tone="inside">Fitted here before</Chip>}
    </Flex>
    <Box lineHeight="snug" marginTop="1">
      {cable.sentence}
    </Box>
    <Lands match={cable} />
  </Box>
);
