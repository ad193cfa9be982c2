import { z } from 'zod';

// The page's security policy forbids making code out of texts; the schemas don't try to.
z.config({ jitless: true });
