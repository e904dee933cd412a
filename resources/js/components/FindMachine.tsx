import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { type KeyboardEvent as ReactKeyboardEvent, useEffect, useId, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { say } from '../api/client';
import { type MachineBrief, machinesQuery } from '../api/machines';
import { belongsToFocus, isPlain } from '../lib/keys';
import { Field } from './Buttons';
import { MachineTag } from './MachineTag';

const MOST_SHOWN = 6;

/** One line to jump to a machine by tag, plate or name; `/` from anywhere brings the cursor here. */
export const FindMachine = ({ onGone }: { onGone?: () => void }) => {
  const [text, setText] = useState('');
  const [open, setOpen] = useState(false);
  const [at, setAt] = useState(0);
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  const navigate = useNavigate();
  const find = text.trim();
  const { data, isFetching, error } = useQuery({ ...machinesQuery(find), enabled: open && find !== '' });
  const machines = find === '' ? [] : (data?.machines ?? []).slice(0, MOST_SHOWN);

  useSlash(input);

  const go = (tag: string | undefined) => {
    if (tag === undefined) return;
    setText('');
    setOpen(false);
    input.current?.blur();
    onGone?.();
    void navigate(`/machines/${encodeURIComponent(tag)}`);
  };
  const press = (event: ReactKeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step !== undefined && machines.length > 0) {
      event.preventDefault();
      setAt((at + step + machines.length) % machines.length);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      go(machines[at]?.tag);
    } else if (event.key === 'Escape') {
      setText('');
      setOpen(false);
      input.current?.blur();
      onGone?.();
    }
  };
  const shown = open && find !== '';
  return (
    <Box position="relative" role="search">
      <Field
        ref={input}
        look="frame"
        type="text"
        role="combobox"
        aria-label="Find a machine by tag, plate or name"
        aria-expanded={shown}
        aria-controls={`${id}list`}
        aria-autocomplete="list"
        aria-activedescendant={shown && machines[at] ? `${id}${machines[at].tag}` : undefined}
        placeholder="/  tag, plate or name"
        autoComplete="off"
        spellCheck={false}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
          setOpen(true);
        }}
        onFocus={() => setOpen(true)}
        onBlur={() => setOpen(false)}
        onKeyDown={press}
      />
      <Found id={id} shown={shown} machines={machines} at={at} onPoint={setAt} onGo={go}>
        {error !== null
          ? say(error)
          : isFetching
            ? 'Looking'
            : `No machine answers to “${find}”. Try a part of its tag.`}
      </Found>
    </Box>
  );
};

/** `/` from anywhere brings the cursor here. */
function useSlash(input: React.RefObject<HTMLInputElement | null>): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key === '/' && isPlain(event) && !belongsToFocus(event.target)) {
        event.preventDefault();
        input.current?.focus();
      }
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [input]);
}

type FoundProps = {
  id: string;
  shown: boolean;
  machines: readonly MachineBrief[];
  at: number;
  onPoint: (n: number) => void;
  onGo: (tag: string) => void;
  /** What is said where there is none. */
  children: string;
};

const Found = ({ id, shown, machines, at, onPoint, onGo, children }: FoundProps) => (
  <chakra.ul
    id={`${id}list`}
    role="listbox"
    aria-label="Machines found"
    hidden={!shown}
    position="absolute"
    insetInline="0"
    top="calc(100% + 4px)"
    bg="sheet"
    color="ink"
    borderRadius="md"
    boxShadow="raised"
    zIndex="popover"
    overflow="hidden"
  >
    {machines.map((machine, n) => (
      <chakra.li
        key={machine.tag}
        id={`${id}${machine.tag}`}
        role="option"
        aria-selected={n === at}
        display="flex"
        gap="3"
        alignItems="center"
        padding="2"
        minHeight="touch"
        cursor="pointer"
        bg={n === at ? 'page' : 'sheet'}
        onMouseDown={(event) => event.preventDefault()}
        onClick={() => onGo(machine.tag)}
        onMouseEnter={() => onPoint(n)}
      >
        <MachineTag tag={machine.tag} size="sm" />
        <Box minWidth="0">
          <Box fontFamily="heading" fontWeight="bold" lineHeight="tight">
            {machine.name}
          </Box>
          <Box textStyle="small">{[machine.kind, machine.plate].filter(Boolean).join(' · ')}</Box>
        </Box>
      </chakra.li>
    ))}
    {machines.length === 0 && (
      <chakra.li role="option" aria-selected="false" aria-disabled="true" padding="3" color="soft">
        {children}
      </chakra.li>
    )}
  </chakra.ul>
);
