import { defineSemanticTokens, defineTokens } from '@chakra-ui/react';

/** The workshop's palette. Nothing outside this folder names a colour or a size by its value. */
export const tokens = defineTokens({
  colors: {
    paper: {
      page: { value: '#E1E8EB' },
      sheet: { value: '#FFFFFF' },
      well: { value: '#F3F7F8' },
      line: { value: '#C7D1D5' },
      tape: { value: '#FBF3D4' },
      tapeEdge: { value: '#D9C98A' },
    },
    graphite: {
      ink: { value: '#10222B' },
      raised: { value: '#1B323D' },
      edge: { value: '#4A6370' },
      soft: { value: '#4A5B64' },
      pale: { value: '#C3D0D6' },
    },
    steel: {
      dark: { value: '#344B57' },
      mid: { value: '#8A9BA5' },
      light: { value: '#DDE4E7' },
      brass: { value: '#E3B23C' },
    },
    vivid: {
      solid: { value: '#D6114F' },
      deep: { value: '#A80C3D' },
      onDark: { value: '#FF7CA3' },
      wash: { value: '#FDEBF1' },
    },
    petrol: {
      shape: { value: '#0B6E6E' },
      text: { value: '#075A5A' },
      wash: { value: '#BFE3DC' },
      pale: { value: '#E4F3F0' },
    },
    amber: { shape: { value: '#B45309' }, text: { value: '#7A3806' }, wash: { value: '#FCE5D0' } },
    violet: { shape: { value: '#5B4BB7' }, text: { value: '#43369A' }, wash: { value: '#E7E3F8' } },
    yellow: { tag: { value: '#F2B705' } },
    red: { stop: { value: '#B3221B' }, wash: { value: '#FBE3E1' } },
    blue: { cool: { value: '#3C6FA5' } },
  },
  fonts: {
    heading: {
      value: "'Sofia Sans Condensed Variable', 'Sofia Sans Condensed Variable fallback', 'Arial Narrow', sans-serif",
    },
    body: {
      value:
        "'Atkinson Hyperlegible Next Variable', 'Atkinson Hyperlegible Next Variable fallback', 'Verdana', sans-serif",
    },
  },
  fontSizes: {
    xs: { value: '0.8125rem' },
    sm: { value: '0.875rem' },
    md: { value: '1rem' },
    lg: { value: '1.1875rem' },
    xl: { value: '1.4375rem' },
    '2xl': { value: '1.75rem' },
    '3xl': { value: '2.25rem' },
    '4xl': { value: '2.75rem' },
  },
  fontWeights: { normal: { value: 400 }, medium: { value: 550 }, bold: { value: 700 } },
  lineHeights: { tight: { value: 1.08 }, snug: { value: 1.3 }, normal: { value: 1.45 } },
  radii: { sm: { value: '4px' }, md: { value: '8px' }, lg: { value: '12px' }, full: { value: '999px' } },
  borderWidths: { thin: { value: '1px' }, thick: { value: '2px' } },
  sizes: {
    touch: { value: '2.75rem' },
    tall: { value: '3.5rem' },
    rail: { value: '11.75rem' },
    now: { value: '20rem' },
    page: { value: '80rem' },
  },
  spacing: {
    '0': { value: '0' },
    '0.5': { value: '0.125rem' },
    '1': { value: '0.25rem' },
    '1.5': { value: '0.375rem' },
    '2': { value: '0.5rem' },
    '2.5': { value: '0.625rem' },
    '3': { value: '0.75rem' },
    '4': { value: '1rem' },
    '5': { value: '1.25rem' },
    '6': { value: '1.5rem' },
    '8': { value: '2rem' },
    '10': { value: '2.5rem' },
    '12': { value: '3rem' },
    '16': { value: '4rem' },
  },
  shadows: {
    sheet: { value: '0 1px 0 rgba(16, 34, 43, 0.08)' },
    raised: { value: '0 12px 40px rgba(16, 34, 43, 0.35)' },
  },
  zIndex: { header: { value: 10 }, popover: { value: 100 } },
});

export const semanticTokens = defineSemanticTokens({
  colors: {
    page: { value: '{colors.paper.page}' },
    sheet: { value: '{colors.paper.sheet}' },
    well: { value: '{colors.paper.well}' },
    line: { value: '{colors.paper.line}' },
    ink: { value: '{colors.graphite.ink}' },
    soft: { value: '{colors.graphite.soft}' },
    frame: { value: '{colors.graphite.ink}' },
    onFrame: { value: '{colors.paper.sheet}' },
    onFrameSoft: { value: '{colors.graphite.pale}' },
    action: { value: '{colors.vivid.solid}' },
    actionText: { value: '{colors.vivid.deep}' },
    inside: { value: '{colors.petrol.shape}' },
    found: { value: '{colors.amber.shape}' },
    cantTell: { value: '{colors.violet.shape}' },
    stop: { value: '{colors.red.stop}' },
    focus: { value: '{colors.graphite.ink}' },
  },
});
