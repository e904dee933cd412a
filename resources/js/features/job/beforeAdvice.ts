import { createContext, type ReactNode } from 'react';

/** What stands in the place of an advised turn until somebody has said what they would do; null where advice is given at once. */
export const BeforeAdviceContext = createContext<ReactNode | null>(null);
