import * as z from 'zod/mini';

// The page's policy lets no script be made from text, so schemas are walked and not compiled. It is said before the first of them is made.
z.config({ jitless: true });
