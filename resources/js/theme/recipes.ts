import { defineRecipe, defineSlotRecipe } from '@chakra-ui/react';
import { OWN_COLOURS } from './forced';

export const button = defineRecipe({
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '2',
    fontFamily: 'heading',
    fontWeight: 'bold',
    fontSize: 'lg',
    lineHeight: 'tight',
    textAlign: 'center',
    borderRadius: 'md',
    borderWidth: 'thick',
    borderColor: 'transparent',
    minHeight: 'touch',
    minWidth: 'touch',
    paddingInline: '4',
    paddingBlock: '2',
    cursor: 'pointer',
    userSelect: 'none',
    touchAction: 'manipulation',
    _disabled: { opacity: 0.55, cursor: 'not-allowed' },
    _focusVisible: { outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' },
  },
  variants: {
    look: {
      vivid: {
        bg: 'action',
        color: 'white',
        _hover: { bg: 'vivid.deep' },
        _disabled: { _hover: { bg: 'action' } },
        ...OWN_COLOURS,
      },
      plain: { bg: 'sheet', color: 'ink', borderColor: 'ink', _hover: { bg: 'well' } },
      quiet: { bg: 'transparent', color: 'ink', borderColor: 'line', _hover: { borderColor: 'ink' } },
      dark: { bg: 'ink', color: 'sheet', _hover: { bg: 'soft' }, ...OWN_COLOURS },
      stop: { bg: 'sheet', color: 'stop', borderColor: 'stop', _hover: { bg: 'red.wash' } },
      link: {
        bg: 'transparent',
        color: 'ink',
        textDecoration: 'underline',
        fontFamily: 'body',
        fontWeight: 'medium',
        fontSize: 'sm',
        paddingInline: '2',
        _hover: { color: 'actionText' },
        '@media (any-pointer: coarse)': { minHeight: '{sizes.touch} !important' },
      },
      key: {
        bg: 'well',
        color: 'ink',
        fontFamily: 'body',
        fontSize: 'xl',
        _hover: { bg: 'page' },
        _active: { bg: 'line' },
      },
      frame: { bg: 'transparent', color: 'onFrame', borderColor: 'graphite.edge', _hover: { bg: 'graphite.raised' } },
    },
    size: {
      touch: {},
      tall: { minHeight: 'tall', fontSize: 'xl' },
      small: { fontSize: 'md', paddingInline: '3', paddingBlock: '1' },
    },
  },
  defaultVariants: { look: 'plain', size: 'touch' },
});

export const field = defineRecipe({
  className: 'vp-field',
  base: {
    width: '100%',
    minHeight: 'touch',
    bg: 'sheet',
    color: 'ink',
    fontFamily: 'body',
    fontSize: 'md',
    borderWidth: 'thick',
    borderColor: 'graphite.edge',
    borderRadius: 'md',
    paddingInline: '3',
    paddingBlock: '2',
    _placeholder: { color: 'soft', opacity: 1 },
    _focusVisible: { outline: '3px solid', outlineColor: 'focus', outlineOffset: '1px' },
    _invalid: { borderColor: 'stop' },
  },
  variants: {
    look: {
      sheet: {},
      figure: { fontSize: '2xl', fontWeight: 'bold', minHeight: 'tall', fontVariantNumeric: 'tabular-nums' },
      frame: {
        bg: 'graphite.raised',
        color: 'onFrame',
        borderColor: 'graphite.edge',
        _placeholder: { color: 'onFrameSoft' },
      },
    },
  },
  defaultVariants: { look: 'sheet' },
});

export const sheet = defineRecipe({
  className: 'vp-sheet',
  base: { bg: 'sheet', borderWidth: 'thin', borderColor: 'line', borderRadius: 'lg', boxShadow: 'sheet' },
  variants: {
    tone: {
      plain: {},
      vivid: { borderWidth: 'thick', borderColor: 'action' },
      stop: { borderWidth: 'thick', borderColor: 'stop' },
      well: { bg: 'well', borderColor: 'transparent', boxShadow: 'none' },
    },
  },
  defaultVariants: { tone: 'plain' },
});

/** A verdict in one word, with a shape beside it; the colour is in the ground, the words are ink. */
export const chip = defineRecipe({
  className: 'vp-chip',
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    gap: '2',
    borderRadius: 'sm',
    paddingInline: '2',
    paddingBlock: '1',
    fontFamily: 'heading',
    fontWeight: 'bold',
    fontSize: 'md',
    lineHeight: 'tight',
    color: 'ink',
  },
  variants: {
    tone: {
      inside: { bg: 'petrol.wash' },
      outside: { bg: 'amber.wash' },
      cantTell: { bg: 'violet.wash' },
      quiet: { bg: 'well' },
      stop: { bg: 'stop', color: 'sheet' },
    },
  },
  defaultVariants: { tone: 'quiet' },
});

export const dialog = defineSlotRecipe({
  className: 'vp-dialog',
  slots: [
    'trigger',
    'backdrop',
    'positioner',
    'content',
    'title',
    'description',
    'closeTrigger',
    'header',
    'body',
    'footer',
  ],
  base: {
    backdrop: { position: 'fixed', inset: '0', bg: 'rgba(16, 34, 43, 0.55)', zIndex: 'popover' },
    positioner: {
      position: 'fixed',
      inset: '0',
      zIndex: 'popover',
      display: 'flex',
      alignItems: { base: 'flex-end', md: 'center' },
      justifyContent: 'center',
      padding: { base: '0', md: '4' },
      overflow: 'auto',
    },
    content: {
      bg: 'sheet',
      color: 'ink',
      width: '100%',
      maxWidth: '136',
      maxHeight: '100%',
      overflow: 'auto',
      borderRadius: 'lg',
      boxShadow: 'raised',
      padding: '5',
      outline: '0',
    },
    title: { fontFamily: 'heading', fontWeight: 'bold', fontSize: 'xl', lineHeight: 'tight', marginBottom: '2' },
    description: { color: 'soft', marginBottom: '4' },
    footer: { display: 'flex', flexWrap: 'wrap', gap: '3', marginTop: '5' },
  },
});
