import { chakra } from '@chakra-ui/react';
import { paint } from '../theme/paint';

/** A lever at rest and pulled, with the wire's travel between them. */
export const Brand = ({ size = '8' }: { size?: string }) => (
  <chakra.svg viewBox="0 0 32 32" width={size} height={size} aria-hidden="true" flexShrink="0">
    <path d="M4 24C6 12 14 7 27 7" fill="none" stroke={paint['steel.mid']} strokeWidth="4.5" strokeLinecap="round" />
    <path
      d="M5 26C14 26 24 22 27 10"
      fill="none"
      stroke={paint['vivid.onDark']}
      strokeWidth="4.5"
      strokeLinecap="round"
    />
    <circle cx="5" cy="25" r="2.6" fill={paint.onFrame} />
  </chakra.svg>
);
