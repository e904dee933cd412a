import { chakra } from '@chakra-ui/react';
import type { ComponentProps } from 'react';
import { capital } from '../lib/capital';
import { field } from '../theme/recipes';

const Field = chakra('select', field);

export type Option<Key extends string = string> = { key: Key; label: string };

type Style = Pick<
  ComponentProps<typeof Field>,
  'aria-invalid' | 'aria-describedby' | 'id' | 'name' | 'disabled' | 'children' | 'width' | 'minWidth' | 'gridColumn'
>;

type Props<Key extends string> = Style & {
  /** What it asks, where no label above it does. */
  says?: string;
  value: Key;
  /** Those in groups come as children. */
  options?: readonly Option<Key>[];
  /** What is said where nothing is chosen. */
  none?: string;
  onPick: (key: Key) => void;
  /** Beside the work. Chosen, it lets go of the keys, so that a figure typed next is a reading again. */
  beside?: boolean;
  /** Names it for tests and for nothing else. */
  pick?: string;
};

const small = { width: '100%', minWidth: '0', fontSize: 'sm', paddingInline: '2' } as const;

/** Words that are their own keys. */
export const words = (values: readonly string[]): readonly Option[] =>
  values.map((value) => ({ key: value, label: capital(value) }));

/** One of several, where they are too many for buttons. */
export const Select = <Key extends string>({
  says,
  options = [],
  none,
  onPick,
  beside = false,
  pick,
  children,
  ...rest
}: Props<Key>) => (
  <Field
    aria-label={says}
    onChange={(event) => {
      onPick(event.target.value as Key);
      if (beside) event.target.blur();
    }}
    data-pick={pick}
    {...(beside ? small : {})}
    {...rest}
  >
    {none !== undefined && <option value="">{none}</option>}
    {options.map((one) => (
      <option key={one.key} value={one.key}>
        {one.label}
      </option>
    ))}
    {children}
  </Field>
);
