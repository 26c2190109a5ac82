import { z } from 'zod';

// The page may not compile code from text (its security policy), so zod must not either.
z.config({ jitless: true });

export { z };
