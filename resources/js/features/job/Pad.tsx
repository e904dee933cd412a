import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import type { FormEvent } from 'react';
import { useEffect, useState } from 'react';
import type { Adjuster, BenchState, Item } from '../../api/jobs';
import { Button, Field, Sheet } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { comeInSight } from '../../components/Refusal';
import { Select } from '../../components/Select';
import { VerdictChip } from '../../components/VerdictChip';
import { lengthUnit, shortLength, unitText } from '../../lib/figures';
import { inSentence } from '../../lib/inSentence';
import { begunLines, keepLine } from '../../lib/preferences';
import { useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';
import { takesReading } from './asks';
import { Offered, Speaking } from './gauges/Gauges';
import { useGauges } from './gauges/useGauges';
import { useBench, useOutboxStatus, WHOLE_GROUP } from './useBench';

const finePointer = () => window.matchMedia('(pointer: fine) and (min-width: 1080px)').matches;

/** The line begun on this job, kept on this device with every key. */
export function useLine(): readonly [string, (line: string) => void] {
  const { lineKey } = useBench();
  const { forgive, refusal } = useOutboxStatus();
  const line = useKept(begunLines)[lineKey] ?? '';
  const setLine = (text: string) => {
    if (refusal !== null) forgive();
    keepLine(lineKey, text);
  };
  return [line, setLine];
}

/** The bench line: one field that is always listening, with big keys for gloved hands. */
export const Pad = () => {
  const { sendLine, item, adjuster, target, field, state, picking } = useBench();
  const { refusal } = useOutboxStatus();
  const reads = picking === null && takesReading(item, state);
  const numbers = picking !== null || takesNumber(item, state);
  const [line, setLine] = useLine();
  const [keys, setKeys] = useState(false);
  const gauges = useGauges();
  useEffect(() => {
    if (finePointer()) field.current?.focus({ preventScroll: true });
  }, [field]);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    sendLine(line);
  };
  return (
    <Sheet tone="well" padding="3" aria-label="Bench line">
      <chakra.form onSubmit={submit} css={sideBySide}>
        <Box minWidth="0">
          <Flex justifyContent="space-between" alignItems="baseline" gap="2">
            <chakra.label htmlFor="bench-line" textStyle="eyebrow">
              {picking?.label ?? label(item, target, state)}
            </chakra.label>
            <Count />
            <Box asChild display={numbers ? { base: 'none', lg: 'block' } : 'block'}>
              <Button look="link" minHeight="7" paddingInline="1" onClick={() => setKeys(!keys)} aria-expanded={keys}>
                {keys ? 'Hide keys' : 'Keys'}
              </Button>
            </Box>
          </Flex>
          <Box position="relative" marginTop="1">
            <Field
              ref={field}
              id="bench-line"
              look="figure"
              value={line}
              onChange={(event) => setLine(event.target.value)}
              autoComplete="off"
              autoCorrect="off"
              autoCapitalize="none"
              spellCheck={false}
              enterKeyHint="done"
              inputMode={finePointer() ? 'text' : 'none'}
              aria-invalid={refusal !== null}
              aria-describedby="bench-line-help"
              paddingRight="16"
            />
            <Box position="absolute" right="4" top="50%" transform="translateY(-50%)" color="soft" pointerEvents="none">
              {picking === null ? unitOf(item, state, adjuster) : lengthUnit()}
            </Box>
          </Box>
          <Refused sentence={refusal} />
          <Says line={line} />
          {reads && (
            <Grid templateColumns="1fr 1fr" gap="2" marginTop="2">
              <ReadAt />
              <With />
            </Grid>
          )}
          <CanItDecide />
          {reads && <Stands />}
          <Speaking of={gauges} />
        </Box>
        <Keys shown={keys} numbers={numbers} line={line} onLine={setLine} />
      </chakra.form>
      {/* Once only the signature is left nothing is measured. */}
      {item?.kind !== 'sign_off' && <Offered of={gauges} />}
    </Sheet>
  );
};

/** A phone lying on its side has room for the keys beside the line, and not below it. */
const sideBySide = {
  '@media (orientation: landscape) and (max-height: 500px)': {
    display: 'grid',
    gridTemplateColumns: '1fr 1fr',
    columnGap: '4',
    alignItems: 'start',
  },
};

/** The verdict as it stands, where the tape is out of sight while the keys are used. */
const Stands = () => {
  const { now: judged } = useBench().state;
  if (judged.verdict === 'unread') return null;
  return (
    <Box display={{ base: 'block', lg: 'none' }} marginTop="2" data-stands>
      <VerdictChip judged={judged} />
    </Box>
  );
};

/** The big keys, for gloved hands: always there where a finger types, and elsewhere when asked for. */
const Keys = ({ shown, numbers, line, onLine }: KeysProps) => {
  const press = (text: string) => onLine(line + text);
  return (
    <Grid
      templateColumns="repeat(4, 1fr)"
      gap="2"
      marginTop="2"
      display={shown ? 'grid' : numbers ? { base: 'grid', lg: 'none' } : 'none'}
      css={numbers ? { '@media (any-pointer: coarse)': { display: 'grid' } } : {}}
    >
      {['1', '2', '3'].map((key) => (
        <PadKey key={key} label={key} onPress={() => press(key)} />
      ))}
      <PadKey label="⌫" says="Rub out" onPress={() => onLine(line.slice(0, -1))} />
      {['4', '5', '6', '/'].map((key) => (
        <PadKey key={key} label={key} says={key === '/' ? 'over' : undefined} onPress={() => press(key)} />
      ))}
      {['7', '8', '9'].map((key) => (
        <PadKey key={key} label={key} onPress={() => press(key)} />
      ))}
      <PadKey label="in" says="in, inches" onPress={() => press(' in')} />
      <PadKey label="space" says="Space" onPress={() => press(' ')} small />
      <PadKey label="0" onPress={() => press('0')} />
      <PadKey label="." says="point" onPress={() => press('.')} />
      <Button type="submit" look="dark" data-key="enter">
        Log
      </Button>
    </Grid>
  );
};

type KeysProps = { shown: boolean; numbers: boolean; line: string; onLine: (line: string) => void };

const Refused = ({ sentence }: { sentence: string | null }) => (
  <Box id="bench-line-help" aria-live="assertive">
    {sentence !== null && (
      <Flex
        key={sentence}
        ref={comeInSight}
        gap="2"
        bg="red.wash"
        borderRadius="sm"
        padding="2"
        marginTop="2"
        lineHeight="snug"
        fontSize="sm"
        scrollMarginBlock="4"
        data-refusal
      >
        <Mark kind="wrong" size="text" style={{ marginTop: '3px' }} />
        <span>{sentence}</span>
      </Flex>
    )}
  </Box>
);

/** What has no thread and does not slide: rungs, holes, turns. */
const countsSteps = (adjuster: Adjuster | null): adjuster is Adjuster =>
  adjuster !== null && adjuster.thread === null && adjuster.unit !== 'mm';

/** What a bare number would be taken in. */
function unitOf(item: Item | null, state: BenchState, adjuster: Adjuster | null): string {
  if (item?.kind === 'measure') {
    const unit = state.beside.measures.find((one) => one.key === item.measure)?.unit ?? '';
    return unitText(unit);
  }
  if (item?.kind === 'thread') return countsSteps(adjuster) ? adjuster.units : lengthUnit();
  return takesReading(item, state) ? lengthUnit() : '';
}

const takesNumber = (item: Item | null, state: BenchState) =>
  takesReading(item, state) || item?.kind === 'thread' || item?.kind === 'measure';

function label(item: Item | null, target: string, state: BenchState): string {
  if (item?.kind === 'thread' || item?.kind === 'measure') return item.label;
  return takesReading(item, state) ? target : 'Bench line';
}

const MOVES = /^[+\-−]/;
const FIGURE = /^[\d.,½¼¾⅛⅜⅝⅞]/;

/** Where what is being typed will go, and after it what was logged: nothing lands on another adjuster, pose or cable unsaid. */
const Says = ({ line }: { line: string }) => {
  const { state, adjuster, target, item, picking } = useBench();
  const { name } = useSignedIn();
  const { kept } = useOutboxStatus();
  const last = state.log[state.log.length - 1];
  const moves = MOVES.test(line.trim());
  const reads = FIGURE.test(line.trim()) && picking === null && takesReading(item, state);
  const words = moves
    ? adjuster === null
      ? null
      : `A move of the ${adjuster.name}`
    : reads
      ? `A reading ${inSentence(target)}`
      : line === '' && kept.length === 0 && last !== undefined && last.by === name && echoed.has(last.kind)
        ? `Logged: ${last.what}`
        : null;
  return (
    <Box textStyle="small" minHeight="1.4em" marginTop="1" lineHeight="snug" data-says aria-live="polite">
      {words}
    </Box>
  );
};

const echoed: ReadonlySet<string> = new Set(['reading', 'move', 'measure', 'thread', 'outcome', 'check']);

const PadKey = ({
  label: text,
  says,
  onPress,
  small = false,
}: {
  label: string;
  says?: string | undefined;
  onPress: () => void;
  small?: boolean;
}) => (
  <Button
    look="key"
    bg="sheet"
    minHeight="13"
    fontSize={small ? 'sm' : 'xl'}
    aria-label={says}
    onClick={onPress}
    data-key={text}
  >
    {text}
  </Button>
);

/** How many readings the current group has; three make it whole, one is judged all the same. */
const Count = () => {
  const { state, pose, item, picking } = useBench();
  const judged = state.poses.find((one) => one.pose === pose) ?? state.now;
  if (picking !== null || !takesReading(item, state)) return null;
  const counted = judged.count === 0 ? 'take three' : `${judged.count} of three read`;
  return (
    <Flex gap="1" alignItems="center" marginLeft="auto" role="img" aria-label={counted} title={counted}>
      {[0, 1, 2].map((n) => (
        <Box
          key={n}
          boxSize="3"
          borderRadius="full"
          borderWidth="thick"
          borderColor="ink"
          bg={n < judged.count ? 'ink' : 'transparent'}
        />
      ))}
      {judged.count > WHOLE_GROUP && (
        <Box as="span" fontSize="sm">
          {judged.count}
        </Box>
      )}
    </Flex>
  );
};

/** What it is read with. */
const With = () => {
  const { state, instrument, chooseInstrument } = useBench();
  if (instrument === null) return null;
  return (
    <Select
      beside
      says="Read with"
      pick="instrument"
      value={instrument.id}
      options={state.shelf.map((one) => ({ key: one.id, label: `${one.name} ${shortLength(one.resolution_mm)}` }))}
      onPick={chooseInstrument}
      gridColumn={state.spec.points.length < 2 ? '1 / -1' : undefined}
    />
  );
};

/** Where it is read, when play can be read in more places than the spec's. */
const ReadAt = () => {
  const { state, point, choosePoint } = useBench();
  if (point === null || state.spec.points.length < 2) return null;
  return (
    <Select
      beside
      says="Read at"
      pick="point"
      value={point.key}
      options={state.spec.points.map((one) => ({
        key: one.key,
        label: `at ${one.label}${one.key === state.spec.point ? '' : ', converted'}`,
      }))}
      onPick={(key) => {
        const chosen = state.spec.points.find((one) => one.key === key);
        if (chosen !== undefined) choosePoint(chosen.key);
      }}
    />
  );
};

/** Said before anything is measured: whether this instrument can tell inside from outside here, and with how many readings. */
const CanItDecide = () => {
  const { job, state, instrument, item, pose, picking } = useBench();
  const isWrong = job.heat_again !== null || state.wrong_state !== null;
  if (picking !== null || !takesReading(item, state) || instrument === null || isWrong) return null;
  const judged = state.poses.find((one) => one.pose === pose) ?? state.now;
  if (instrument.warning !== null)
    return (
      <Flex gap="2" marginTop="2" fontSize="sm" lineHeight="snug" data-cannot-decide>
        <Mark kind="cant_tell" size="text" style={{ marginTop: '3px' }} />
        <span>{instrument.warning}</span>
      </Flex>
    );
  if (judged.count > 0 || instrument.readings === null) return null;
  return (
    <Box marginTop="2" textStyle="small">
      {instrument.readings === 1
        ? 'One reading with it can decide this band; three are usual.'
        : `It takes ${instrument.readings} readings with it to decide this band.`}
    </Box>
  );
};
