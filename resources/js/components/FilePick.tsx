import { chakra } from '@chakra-ui/react';
import { button } from '../theme/recipes';

const Label = chakra('label', button);

type FilePickProps = {
  children: string;
  accept: string;
  look?: 'vivid' | 'plain';
  size?: 'tall';
  /** Where a phone takes the picture at once. */
  capture?: 'environment';
  disabled?: boolean;
  onPick: (file: File) => void;
};

/** A file chosen by a button as big as any other. Its input goes along with it, and lies over nothing else. */
export const FilePick = ({
  children,
  accept,
  look = 'plain',
  size,
  capture,
  disabled = false,
  onPick,
}: FilePickProps) => (
  <Label
    look={look}
    size={size}
    cursor="pointer"
    position="relative"
    opacity={disabled ? 0.6 : 1}
    _focusWithin={{ outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' }}
  >
    {children}
    <chakra.input
      type="file"
      accept={accept}
      capture={capture}
      disabled={disabled}
      position="absolute"
      inset="0"
      opacity="0"
      width="100%"
      cursor="pointer"
      aria-label={children}
      onChange={(event) => {
        const [file] = event.target.files ?? [];
        event.target.value = '';
        if (file !== undefined) onPick(file);
      }}
    />
  </Label>
);
