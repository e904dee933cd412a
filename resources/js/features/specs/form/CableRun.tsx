import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { type ReactNode, useEffect, useState } from 'react';
import { get } from 'react-hook-form';
import type { AdjusterKind } from '../../../api/contract';
import { Button, Sheet } from '../../../components/Buttons';
import { sizeShown, unitText } from '../../../lib/figures';
import {
  type AdjusterDraft,
  inOnePiece,
  inTwoPieces,
  isOfTwoPieces,
  mayBeOfTwoPieces,
  secondToAdd,
  withoutSecond,
  withSecond,
} from '../draft';
import type { FormProps } from '../SpecEditScreen';
import { kindName, kindOptions, measuredBy } from '../words';
import { AdjusterFields } from './AdjusterFields';
import { Glyph } from './glyphs';
import { changed, fitted, MOST_ADJUSTERS, moved, placeOf, type Tapped, takenOut } from './run';
import { PartOfForm, SpecEntry, useErrors } from './SpecEntry';

/** The run that every machine of the model has, as a drawing: what is on it is tapped to be looked at, changed, moved or taken out. */
export const CableRun = ({ draft, set }: FormProps) => {
  const [tapped, setTapped] = useState<Tapped | null>(null);
  const errors = useErrors();
  const wrong = wrongPart(draft, errors);
  // What is wrong with a part of it is looked at as soon as it is said.
  const at = wrong === null ? null : wrong.part === 'adjuster' ? wrong.id : wrong.part;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another part may be tapped while this one is still wrong
  useEffect(() => {
    if (wrong !== null) setTapped(wrong);
  }, [at]);
  return (
    <Sheet padding="4" aria-label="Cable run">
      <Heading as="h2" fontSize="lg">
        Cable run
      </Heading>
      <Box textStyle="small" marginBottom="2">
        Tap a part to say what it is, or a plus to fit an adjuster there. What nobody measured yet may stay empty: the
        draft says what it still needs.
      </Box>
      {draft.cables.map((cable, at) => (
        <Drawing
          // biome-ignore lint/suspicious/noArrayIndexKey: the cables of a run never change places
          key={at}
          draft={draft}
          cable={at}
          name={draft.cables.length > 1 ? String(cable.kept.name ?? '') : null}
          tapped={tapped}
          onTap={setTapped}
        />
      ))}
      {tapped !== null && <Panel draft={draft} set={set} tapped={tapped} onTap={setTapped} />}
      <More draft={draft} set={set} />
    </Sheet>
  );
};

/** Where an adjuster stands in the form. */
const partOf = (draft: FormProps['draft'], id: string): string => {
  const cable = draft.cables.findIndex((one) => one.adjusters.some((adjuster) => adjuster.id === id));
  const at = draft.cables[cable]?.adjusters.findIndex((one) => one.id === id) ?? -1;
  return `cables.${cable}.adjusters.${at}`;
};

const ofTheHand = ['handName', 'pivotToWire', 'pivotToPoint', 'drum', 'flange'] as const;

/** The part with which something is wrong. */
function wrongPart(draft: FormProps['draft'], errors: ReturnType<typeof useErrors>): Tapped | null {
  if (ofTheHand.some((field) => errors[field] !== undefined)) return { part: 'hand' };
  const wrong = draft.cables
    .flatMap((cable) => cable.adjusters)
    .find((one) => get(errors, partOf(draft, one.id)) !== undefined);
  if (wrong !== undefined) return { part: 'adjuster', id: wrong.id };
  return errors.workingEnd === undefined ? null : { part: 'end' };
}

/** What there may be beside the first cable. */
const More = ({ draft, set }: FormProps) => {
  const toAdd = secondToAdd(draft);
  return (
    <Flex gap="2" flexWrap="wrap" marginTop="3">
      {toAdd !== null && (
        <Button look="quiet" size="small" onClick={() => set(withSecond(draft))} data-add-second>
          Add the {toAdd.name.toLowerCase()}
        </Button>
      )}
      {toAdd === null && draft.second !== null && (
        <Button look="quiet" size="small" onClick={() => set(withoutSecond(draft))} data-drop-second>
          Take the second cable out
        </Button>
      )}
      {mayBeOfTwoPieces(draft) && (
        <Button
          look="quiet"
          size="small"
          onClick={() => set(isOfTwoPieces(draft) ? inOnePiece(draft) : inTwoPieces(draft))}
          data-two-pieces={isOfTwoPieces(draft)}
        >
          {isOfTwoPieces(draft) ? 'The cable is in one piece' : 'The cable is of two pieces'}
        </Button>
      )}
    </Flex>
  );
};

type DrawingProps = {
  draft: FormProps['draft'];
  cable: number;
  name: string | null;
  tapped: Tapped | null;
  onTap: (tapped: Tapped | null) => void;
};

const Drawing = ({ draft, cable, name, tapped, onTap }: DrawingProps) => {
  const adjusters = draft.cables[cable]?.adjusters ?? [];
  const isFull = adjusters.length >= MOST_ADJUSTERS;
  const gap = (at: number) => (
    <Gap
      key={`gap ${at}`}
      cable={cable}
      at={at}
      full={isFull}
      chosen={tapped?.part === 'gap' && tapped.cable === cable && tapped.at === at}
      onTap={onTap}
    />
  );
  return (
    <Box marginTop="2" data-run={cable}>
      {name !== null && <Box fontWeight="bold">{name}</Box>}
      <Flex
        direction={{ base: 'column', md: 'row' }}
        alignItems="stretch"
        flexWrap={{ md: 'wrap' }}
        rowGap={{ md: '3' }}
        role="group"
        aria-label={name ?? 'The run, from the hand on'}
      >
        <Part
          mark="hand"
          glyph={<Glyph of={{ hand: String(draft.hand.kind ?? '') }} />}
          title={draft.handName || 'Hand control'}
          says={handSays(draft)}
          chosen={tapped?.part === 'hand'}
          onTap={() => onTap(tapped?.part === 'hand' ? null : { part: 'hand' })}
        />
        {gap(0)}
        {adjusters.map((one, at) => {
          const chosen = tapped?.part === 'adjuster' && tapped.id === one.id;
          return [
            <Part
              key={one.id}
              mark={one.id}
              glyph={<Glyph of={{ adjuster: one.kind as AdjusterKind }} />}
              title={one.name || kindName(one.kind)}
              says={adjusterSays(one)}
              chosen={chosen}
              onTap={() => onTap(chosen ? null : { part: 'adjuster', id: one.id })}
            />,
            gap(at + 1),
          ];
        })}
        <Part
          mark="end"
          glyph={<Glyph of="end" />}
          title={draft.workingEnd || 'Working end'}
          says="working end"
          chosen={tapped?.part === 'end'}
          onTap={() => onTap(tapped?.part === 'end' ? null : { part: 'end' })}
        />
      </Flex>
    </Box>
  );
};

const mm = (held: string) => `${sizeShown(held, 'mm')} ${unitText('mm')}`;

function handSays(draft: FormProps['draft']): string {
  const [wire, point] =
    draft.hand.kind === 'grip' ? [draft.drum, draft.flange] : [draft.pivotToWire, draft.pivotToPoint];
  return wire === '' || point === '' ? 'distances not measured' : `${mm(wire)} and ${mm(point)}`;
}

/** What is known of it, or what is still missing, in the fewest words. */
function adjusterSays(one: AdjusterDraft): string {
  const by = measuredBy[one.kind as keyof typeof measuredBy] ?? 'nothing';
  if (by === 'nothing') return kindName(one.kind).toLowerCase();
  if (by === 'steps') {
    return one.step === '' || one.from === '' || one.to === ''
      ? 'steps?'
      : `${mm(one.step)} a step, ${one.from}–${one.to}`;
  }
  return `${one.thread === '' ? 'thread?' : one.thread}, ${one.travel === '' ? 'travel?' : mm(one.travel)}`;
}

const Tap = chakra('button');

type PartProps = {
  mark: string;
  glyph: ReactNode;
  title: string;
  says: string;
  chosen: boolean;
  onTap: () => void;
};

const Part = ({ mark, glyph, title, says, chosen, onTap }: PartProps) => (
  <Tap
    type="button"
    onClick={onTap}
    aria-pressed={chosen}
    display="flex"
    flexDirection={{ base: 'row', md: 'column' }}
    alignItems="center"
    gap={{ base: '3', md: '1' }}
    width={{ md: '30' }}
    padding="2"
    borderWidth="thick"
    borderRadius="md"
    borderColor={chosen ? 'ink' : 'line'}
    bg={chosen ? 'well' : 'sheet'}
    cursor="pointer"
    textAlign={{ base: 'left', md: 'center' }}
    _hover={{ borderColor: 'ink' }}
    _focusVisible={{ outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' }}
    data-part={mark}
  >
    <Box width="16" flex="none">
      {glyph}
    </Box>
    <Box minWidth="0">
      <Box fontWeight="bold" fontSize="sm" lineHeight="tight" overflowWrap="anywhere">
        {title}
      </Box>
      <Box fontSize="xs" color="soft" lineHeight="snug">
        {says}
      </Box>
    </Box>
  </Tap>
);

type GapProps = {
  cable: number;
  at: number;
  full: boolean;
  chosen: boolean;
  onTap: (tapped: Tapped | null) => void;
};

/** A stretch of the cable between two parts; an adjuster is fitted there. */
const Gap = ({ cable, at, full, chosen, onTap }: GapProps) => (
  <Tap
    type="button"
    aria-label={`Fit an adjuster at place ${at + 1}`}
    aria-pressed={chosen}
    disabled={full}
    onClick={() => onTap(chosen ? null : { part: 'gap', cable, at })}
    position="relative"
    flex={{ md: '1 1 {sizes.11}' }}
    minWidth="touch"
    minHeight="touch"
    maxWidth={{ md: '24' }}
    cursor={full ? 'default' : 'pointer'}
    alignSelf={{ base: 'flex-start', md: 'center' }}
    width={{ base: '20', md: 'auto' }}
    _before={{
      content: '""',
      position: 'absolute',
      bg: 'action',
      ...{ left: { base: 'calc(50% - 1.5px)', md: '0' }, right: { base: 'auto', md: '0' } },
      ...{ top: { base: '0', md: 'calc(50% - 1.5px)' }, bottom: { base: '0', md: 'auto' } },
      ...{ width: { base: '3px', md: 'auto' }, height: { base: 'auto', md: '3px' } },
    }}
    _focusVisible={{ outline: '3px solid', outlineColor: 'focus', outlineOffset: '-3px' }}
    data-gap={at}
  >
    {!full && (
      <Box
        as="span"
        position="relative"
        display="inline-flex"
        alignItems="center"
        justifyContent="center"
        boxSize="7"
        borderRadius="full"
        borderWidth="thick"
        borderColor="ink"
        bg={chosen ? 'ink' : 'sheet'}
        color={chosen ? 'sheet' : 'ink'}
        fontWeight="bold"
        lineHeight="1"
      >
        +
      </Box>
    )}
  </Tap>
);

type PanelProps = FormProps & { tapped: Tapped; onTap: (tapped: Tapped | null) => void };

const Panel = ({ draft, set, tapped, onTap }: PanelProps) => {
  const adjuster =
    tapped.part === 'adjuster'
      ? draft.cables.flatMap((cable) => cable.adjusters).find((one) => one.id === tapped.id)
      : undefined;
  if (tapped.part === 'adjuster' && adjuster === undefined) return null;
  return (
    <Box bg="well" borderRadius="md" padding="3" marginTop="3" data-panel={tapped.part}>
      {tapped.part === 'hand' && <HandFields draft={draft} set={set} />}
      {tapped.part === 'end' && (
        <SpecEntry
          label="Working end"
          value={draft.workingEnd}
          onChange={(workingEnd) => set({ workingEnd })}
          field="workingEnd"
          name="working-end"
        />
      )}
      {tapped.part === 'gap' && (
        <WhichKind
          onPick={(kind) => {
            const { id, change } = fitted(draft, tapped.cable, tapped.at, kind);
            set(change);
            onTap({ part: 'adjuster', id });
          }}
        />
      )}
      {adjuster !== undefined && (
        <>
          <PartOfForm key={adjuster.id} part={partOf(draft, adjuster.id)}>
            <AdjusterFields adjuster={adjuster} onChange={(change) => set(changed(draft, adjuster.id, change))} />
          </PartOfForm>
          <Place draft={draft} set={set} id={adjuster.id} onGone={() => onTap(null)} />
        </>
      )}
    </Box>
  );
};

/** Where it sits along the cable. */
const Place = ({ draft, set, id, onGone }: FormProps & { id: string; onGone: () => void }) => {
  const place = placeOf(draft, id);
  if (place === null) return null;
  return (
    <Flex gap="2" flexWrap="wrap" marginTop="3">
      <Button
        look="quiet"
        size="small"
        disabled={place.at === 0}
        onClick={() => set(moved(draft, id, 'hand'))}
        data-towards="hand"
      >
        Nearer to the hand
      </Button>
      <Button
        look="quiet"
        size="small"
        disabled={place.at === place.last}
        onClick={() => set(moved(draft, id, 'end'))}
        data-towards="end"
      >
        Nearer to the working end
      </Button>
      <Button
        look="quiet"
        size="small"
        marginLeft="auto"
        onClick={() => {
          set(takenOut(draft, id));
          onGone();
        }}
        data-take-out={id}
      >
        Take it out
      </Button>
    </Flex>
  );
};

const WhichKind = ({ onPick }: { onPick: (kind: string) => void }) => (
  <>
    <Box fontWeight="bold" marginBottom="2">
      What is fitted here?
    </Box>
    <Grid templateColumns={{ base: '1fr 1fr', sm: 'repeat(3, 1fr)', lg: 'repeat(5, 1fr)' }} gap="2">
      {kindOptions
        .filter((kind) => kind.key !== 'none')
        .map((kind) => (
          <Button
            key={kind.key}
            look="quiet"
            size="small"
            bg="sheet"
            flexDirection="column"
            gap="1"
            onClick={() => onPick(kind.key)}
            data-kind={kind.key}
          >
            <Box width="14">
              <Glyph of={{ adjuster: kind.key as AdjusterKind }} />
            </Box>
            {kind.label}
          </Button>
        ))}
    </Grid>
  </>
);

const HandFields = ({ draft, set }: FormProps) => {
  const isGrip = draft.hand.kind === 'grip';
  return (
    <>
      <Grid templateColumns={{ base: '1fr 1fr', md: '1.4fr 1fr 1fr' }} gap="3">
        <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
          <SpecEntry
            label="Hand control"
            value={draft.handName}
            onChange={(handName) => set({ handName })}
            field="handName"
            name="hand-name"
          />
        </Box>
        <SpecEntry
          label={isGrip ? 'Drum radius' : 'Pivot to wire'}
          unit="mm"
          value={isGrip ? draft.drum : draft.pivotToWire}
          onChange={(value) => set(isGrip ? { drum: value } : { pivotToWire: value })}
          kind="decimal"
          most={8}
          field={isGrip ? 'drum' : 'pivotToWire'}
          name="to-wire"
        />
        <SpecEntry
          label={isGrip ? 'Flange radius' : 'Pivot to reading point'}
          unit="mm"
          value={isGrip ? draft.flange : draft.pivotToPoint}
          onChange={(value) => set(isGrip ? { flange: value } : { pivotToPoint: value })}
          kind="decimal"
          most={8}
          field={isGrip ? 'flange' : 'pivotToPoint'}
          name="to-point"
        />
      </Grid>
      <Box textStyle="small" marginTop="1">
        Empty is fine: the first moves teach how far the play goes with each turn.
      </Box>
    </>
  );
};
