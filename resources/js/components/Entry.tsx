import { Box } from '@chakra-ui/react';
import { type ReactNode, type Ref, useId } from 'react';
import { sizeShown, sizeTyped, unitText } from '../lib/figures';
import { Field, FieldLabel } from './Buttons';
import { Select } from './Select';

type EntryProps = {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** The unit a size is kept in: it is shown and typed in the units of whoever reads it. */
  unit?: string | undefined;
  kind?: 'text' | 'decimal' | 'whole' | 'date' | 'password' | 'pin';
  most?: number;
  hint?: ReactNode;
  name?: string;
  list?: string;
  autoFocus?: boolean;
  /** A line that is read from far. */
  look?: 'sheet' | 'figure';
  /** What is wrong with what stands in it. */
  wrong?: string | undefined;
  at?: Ref<HTMLInputElement>;
};

const modes = {
  text: 'text',
  decimal: 'decimal',
  whole: 'numeric',
  date: undefined,
  password: undefined,
  pin: 'numeric',
} as const;

type WrongProps = { id: string; name: string | undefined; says: string | undefined };

/** What is wrong with a field, under it. */
export const Wrong = ({ id, name, says }: WrongProps) =>
  says !== undefined && (
    <Box id={`${id}wrong`} role="alert" fontWeight="bold" marginTop="1" lineHeight="snug" data-wrong={name}>
      {says}
    </Box>
  );

/** One thing to fill in, with what it asks for above it. */
export const Entry = ({
  label,
  value,
  onChange,
  unit,
  kind = 'text',
  most = 60,
  hint,
  name,
  list,
  autoFocus,
  look = 'sheet',
  wrong,
  at,
}: EntryProps) => {
  const id = useId();
  return (
    <Box minWidth="0">
      <FieldLabel htmlFor={id}>{unit === undefined ? label : `${label}, ${unitText(unit)}`}</FieldLabel>
      <Field
        id={id}
        ref={at}
        look={look}
        aria-invalid={wrong !== undefined || undefined}
        aria-describedby={wrong === undefined ? undefined : `${id}wrong`}
        name={name}
        list={list}
        type={kind === 'date' ? 'date' : kind === 'password' || kind === 'pin' ? 'password' : 'text'}
        inputMode={modes[kind]}
        value={unit === undefined ? value : sizeShown(value, unit)}
        maxLength={kind === 'date' ? undefined : most}
        autoComplete={kind === 'password' ? 'new-password' : 'off'}
        autoFocus={autoFocus}
        onChange={(event) => onChange(unit === undefined ? event.target.value : sizeTyped(event.target.value, unit))}
      />
      <Wrong id={id} name={name} says={wrong} />
      {hint !== undefined && (
        <Box textStyle="small" marginTop="1">
          {hint}
        </Box>
      )}
    </Box>
  );
};

export type PickProps<Key extends string> = {
  label: string;
  value: Key;
  onChange: (value: Key) => void;
  options: readonly { key: Key; label: string }[];
  name?: string;
  /** What is wrong with what was chosen. */
  wrong?: string | undefined;
};

/** One of several, where they are too many for buttons. */
export const Pick = <Key extends string>({ label, value, onChange, options, name, wrong }: PickProps<Key>) => {
  const id = useId();
  return (
    <Box minWidth="0">
      <FieldLabel htmlFor={id}>{label}</FieldLabel>
      <Select
        id={id}
        name={name}
        value={value}
        onPick={onChange}
        options={options}
        width="100%"
        aria-invalid={wrong !== undefined || undefined}
        aria-describedby={wrong === undefined ? undefined : `${id}wrong`}
      />
      <Wrong id={id} name={name} says={wrong} />
    </Box>
  );
};
