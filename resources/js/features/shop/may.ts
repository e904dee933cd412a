/** What each role may do, in a few words. */
export const may = {
  lead: 'keeps the shop, signs, lifts tags',
  technician: 'logs, signs, enters and checks specs',
  apprentice: 'logs; somebody else signs',
  viewer: 'looks',
} as const;
