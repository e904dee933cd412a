import { chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import { button, chip, field, sheet } from '../theme/recipes';

/** Buttons of the bench: one vivid action a screen, all of them big enough for gloves. */
export const Button = chakra('button', button, { defaultProps: { type: 'button' } });
export const LinkButton = chakra(Link, button);
/** A way to a sheet of paper, which opens beside the screen. */
export const Paper = chakra('a', button, { defaultProps: { target: '_blank', rel: 'noreferrer' } });
export const Field = chakra('input', field);
/** What a field asks for, above it. */
export const FieldLabel = chakra('label', { base: { textStyle: 'eyebrow', display: 'block', marginBottom: '1' } });
export const Area = chakra('textarea', field);
export const Sheet = chakra('section', sheet);
export const Chip = chakra('span', chip);
