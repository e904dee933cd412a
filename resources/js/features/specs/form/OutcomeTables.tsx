import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Button } from '../../../components/Buttons';
import { Pick } from '../../../components/Entry';
import { freeKey, type SettingDraft, type SightDraft, type Standing, type TableDraft } from '../draft';
import type { FormProps } from '../SpecEditScreen';
import { PartOfForm, SpecEntry, SpecPick, useWrongIn } from './SpecEntry';

const MOST_SETTINGS = 12;
const MOST_SIGHTS = 8;
const MOST_MOVERS = 3;

const changed = <T,>(rows: T[], at: number, change: Partial<T>): T[] =>
  rows.map((row, n) => (n === at ? { ...row, ...change } : row));
const without = <T,>(rows: T[], at: number): T[] => rows.filter((_, n) => n !== at);

/** What it must do at each of its settings, where no play is read. */
export const OutcomeTables = ({ draft, set }: FormProps) => (
  <>
    {draft.tables.map((table, at) => (
      // biome-ignore lint/suspicious/noArrayIndexKey: tables are neither added nor taken out here
      <PartOfForm key={at} part={`tables.${at}`}>
        <OneTable
          table={table}
          adjusters={draft.cables.flatMap((cable) => cable.adjusters)}
          onChange={(change) => set({ tables: changed(draft.tables, at, change) })}
        />
      </PartOfForm>
    ))}
  </>
);

type TableProps = {
  table: TableDraft;
  adjusters: { id: string; name: string }[];
  onChange: (change: Partial<TableDraft>) => void;
};

const OneTable = ({ table, adjusters, onChange }: TableProps) => {
  // One setting at a time: all of them together are more than anybody looks at.
  const [open, setOpen] = useState<string | null>(null);
  const field = (label: string, key: 'arm' | 'unit' | 'plus' | 'minus' | 'trial' | 'most') => (
    <SpecEntry
      field={key}
      label={label}
      value={table[key]}
      onChange={(value) => onChange({ [key]: value })}
      kind={key === 'trial' || key === 'most' ? 'decimal' : 'text'}
      most={key === 'unit' ? 20 : 40}
      name={key}
    />
  );
  return (
    <Box data-table>
      <Grid templateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="3">
        {field('What moves', 'arm')}
        {field('Counted in', 'unit')}
        {field('Goes, as it counts up', 'plus')}
        {field('Goes, as it counts down', 'minus')}
      </Grid>
      {table.settings.map((setting, n) => (
        <PartOfForm key={setting.key} part={`settings.${n}`}>
          <OneSetting
            setting={setting}
            open={open === setting.key}
            onOpen={() => setOpen(open === setting.key ? null : setting.key)}
            unit={table.unit}
            plus={table.plus}
            minus={table.minus}
            last={table.settings.length === 1}
            onChange={(change) => onChange({ settings: changed(table.settings, n, change) })}
            onRemove={() => onChange({ settings: without(table.settings, n) })}
          />
        </PartOfForm>
      ))}
      <Button
        look="quiet"
        size="small"
        marginTop="2"
        disabled={table.settings.length >= MOST_SETTINGS}
        onClick={() => {
          const added = emptySetting(table.settings);
          onChange({ settings: [...table.settings, added] });
          setOpen(added.key);
        }}
        data-add-setting
      >
        Add a setting
      </Button>
      <Movers table={table} adjusters={adjusters} onChange={onChange} />
      <Grid templateColumns={{ base: '1fr 1fr', md: '{sizes.48} {sizes.48}' }} gap="3" marginTop="3">
        {field('First try, where nothing is known', 'trial')}
        {field('Never more at once', 'most')}
      </Grid>
    </Box>
  );
};

/** The adjusters that move what is set, and how far a step of each does. */
const Movers = ({ table, adjusters, onChange }: TableProps) => {
  const still = adjusters.filter((one) => !table.movers.some((mover) => mover.adjuster === one.id));
  return (
    <>
      <Heading as="h3" fontSize="md" marginTop="4" marginBottom="1">
        What moves it
      </Heading>
      {table.movers.map((mover, n) => (
        <Flex key={mover.adjuster} gap="3" alignItems="flex-end" marginTop="2" flexWrap="wrap">
          <Box width="48">
            <SpecEntry
              field={`movers.${n}.perStep`}
              label={`${adjusters.find((one) => one.id === mover.adjuster)?.name ?? 'An adjuster that is gone'}, ${table.unit} a step`}
              value={mover.perStep}
              onChange={(perStep) => onChange({ movers: changed(table.movers, n, { perStep }) })}
              kind="decimal"
              most={10}
            />
          </Box>
          {table.movers.length > 1 && (
            <Button look="quiet" size="small" onClick={() => onChange({ movers: without(table.movers, n) })}>
              It does not move it
            </Button>
          )}
        </Flex>
      ))}
      <Flex gap="2" flexWrap="wrap" marginTop="2">
        {table.movers.length < MOST_MOVERS &&
          still.map((one) => (
            <Button
              key={one.id}
              look="quiet"
              size="small"
              onClick={() =>
                onChange({ movers: [...table.movers, { kept: { error: 0.3 }, adjuster: one.id, perStep: '' }] })
              }
            >
              The {one.name === '' ? 'new adjuster' : one.name} moves it too
            </Button>
          ))}
      </Flex>
    </>
  );
};

const emptySetting = (there: SettingDraft[]): SettingDraft => ({
  kept: {},
  key: freeKey(
    'setting',
    there.map((one) => one.key),
  ),
  label: '',
  at: '0',
  wants: 'seen_1',
  telling: true,
  sees: ['seen_1', 'seen_2'].map((key) => ({ key, label: '', low: '', high: '', stands: 'between' as const })),
});

const fieldsOfSetting = ['label', 'at', 'wants', 'sees'];

type SettingProps = {
  setting: SettingDraft;
  unit: string;
  plus: string;
  minus: string;
  last: boolean;
  open: boolean;
  onOpen: () => void;
  onChange: (change: Partial<SettingDraft>) => void;
  onRemove: () => void;
};

const Row = chakra('button');

/** A setting as one line; tapped, its fields. */
const OneSetting = ({ open: asked, onOpen, ...form }: SettingProps) => {
  const isWrong = useWrongIn(fieldsOfSetting);
  const open = isWrong || asked;
  // It stays open while what is wrong with it is put right.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, as it is said
  useEffect(() => {
    if (isWrong && !asked) onOpen();
  }, [isWrong]);
  const { setting, unit } = form;
  const right = setting.sees.find((one) => one.key === setting.wants)?.label;
  return (
    <Box borderTopWidth="thin" borderColor="line" marginTop="2" paddingTop="2" data-setting-fields={setting.key}>
      <Row
        type="button"
        aria-expanded={open}
        onClick={onOpen}
        width="100%"
        minHeight="touch"
        textAlign="left"
        cursor="pointer"
        data-setting={setting.key}
      >
        <b>{setting.label || 'A setting without a name'}</b>
        {', '}
        {setting.at || '0'} {unit}: right is {right || 'not named yet'}
      </Row>
      {open && <SettingFields {...form} />}
    </Box>
  );
};

const SettingFields = ({
  setting,
  unit,
  plus,
  minus,
  last,
  onChange,
  onRemove,
}: Omit<SettingProps, 'open' | 'onOpen'>) => (
  <>
    <Grid templateColumns={{ base: '1fr 1fr', md: '1fr {sizes.32} 2fr' }} gap="3" alignItems="end">
      <SpecEntry
        field="label"
        label="Setting"
        value={setting.label}
        onChange={(label) => onChange({ label })}
        most={60}
        name={`${setting.key}_label`}
      />
      <SpecEntry
        field="at"
        label={`Its place, ${unit}`}
        value={setting.at}
        onChange={(at) => onChange({ at })}
        kind="decimal"
        most={10}
      />
      <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
        <SpecPick
          field="wants"
          label="Right is"
          value={setting.wants}
          onChange={(wants) => onChange({ wants })}
          options={setting.sees
            .filter((one) => one.stands !== 'nothing')
            .map((one) => ({ key: one.key, label: one.label || 'not named yet' }))}
        />
      </Box>
    </Grid>
    {setting.sees.map((sight, n) => (
      <PartOfForm key={sight.key} part={`sees.${n}`}>
        <OneSight
          sight={sight}
          name={`${setting.key}_${sight.key}`}
          unit={unit}
          plus={plus}
          minus={minus}
          mayGo={setting.sees.length > 2 && sight.key !== setting.wants}
          onChange={(change) => onChange({ sees: changed(setting.sees, n, change) })}
          onRemove={() => onChange({ sees: without(setting.sees, n) })}
        />
      </PartOfForm>
    ))}
    <Flex gap="2" flexWrap="wrap" marginTop="2" justifyContent="space-between">
      <Button
        look="quiet"
        size="small"
        disabled={setting.sees.length >= MOST_SIGHTS}
        onClick={() =>
          onChange({
            sees: [
              ...setting.sees,
              {
                key: freeKey(
                  'seen',
                  setting.sees.map((one) => one.key),
                ),
                label: '',
                low: '',
                high: '',
                stands: 'between',
              },
            ],
          })
        }
      >
        Something else can be seen
      </Button>
      {!last && (
        <Button look="quiet" size="small" onClick={onRemove}>
          Take {setting.label === '' ? 'it' : setting.label} out
        </Button>
      )}
    </Flex>
  </>
);

type SightProps = {
  sight: SightDraft;
  name: string;
  unit: string;
  plus: string;
  minus: string;
  mayGo: boolean;
  onChange: (change: Partial<SightDraft>) => void;
  onRemove: () => void;
};

/** One thing that can be seen, and where the arm then stands: beyond an edge that is empty it may stand anywhere. */
const OneSight = ({ sight, name, unit, plus, minus, mayGo, onChange, onRemove }: SightProps) => (
  <Grid
    templateColumns={{ base: '1fr 1fr', md: '2fr 1.2fr {sizes.28} {sizes.28} auto' }}
    gap="3"
    alignItems="end"
    marginTop="2"
  >
    <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
      <SpecEntry
        field="label"
        label="Seen"
        value={sight.label}
        onChange={(label) => onChange({ label })}
        most={80}
        name={name}
      />
    </Box>
    <Pick
      label="Then it stands"
      value={sight.stands}
      onChange={(to) => onChange({ stands: to as Standing })}
      options={[
        { key: 'right', label: 'right' },
        { key: 'short', label: `too far ${minus}` },
        { key: 'past', label: `too far ${plus}` },
        { key: 'between', label: 'between two figures' },
        { key: 'nothing', label: 'not told by this' },
      ]}
      name={`${name}_stands`}
    />
    {sight.stands === 'between' && (
      <>
        <SpecEntry
          field="low"
          label={`From, ${unit}`}
          name={`${name}_low`}
          value={sight.low}
          onChange={(low) => onChange({ low })}
          kind="decimal"
          most={10}
        />
        <SpecEntry
          field="high"
          label={`To, ${unit}`}
          name={`${name}_high`}
          value={sight.high}
          onChange={(high) => onChange({ high })}
          kind="decimal"
          most={10}
        />
      </>
    )}
    <Flex alignItems="center" gap="3" gridColumn={{ base: '1 / -1', md: 'auto' }}>
      {mayGo && (
        <Button look="quiet" size="small" onClick={onRemove}>
          Out
        </Button>
      )}
    </Flex>
  </Grid>
);
