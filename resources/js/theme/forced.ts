/** Where a browser puts strong colours of its own in place of ours. */
const FORCED = '@media (forced-colors: active)';

/** What tells by its ground keeps it: a tag, a step that is done, what is chosen, what is pressed next. */
export const OWN_COLOURS = { [FORCED]: { forcedColorAdjust: 'none' } } as const;

/** A line below what one is at; there, one that is transparent would be drawn below all the others too. */
export const LINE_BELOW_ONE = { [FORCED]: { '&:not([aria-current])': { borderColor: 'Canvas' } } } as const;
