import { Choice } from './Buttons';

export type Named = { key: string; name: string };

type Props = {
  says: string;
  value: string;
  options: readonly Named[];
  onChange: (key: string) => void;
  /** Names it for tests and for nothing else. */
  pick: string;
  wide?: boolean;
};

/** A choice beside the work. Chosen, it lets go of the keys, so that a figure typed next is a reading again. */
export const SmallChoice = ({ says, value, options, onChange, pick, wide = false }: Props) => (
  <Choice
    aria-label={says}
    value={value}
    onChange={(event) => {
      onChange(event.target.value);
      event.target.blur();
    }}
    gridColumn={wide ? '1 / -1' : undefined}
    width="100%"
    minWidth="0"
    fontSize="sm"
    paddingInline="2"
    data-pick={pick}
  >
    {options.map((one) => (
      <option key={one.key} value={one.key}>
        {one.name}
      </option>
    ))}
  </Choice>
);
