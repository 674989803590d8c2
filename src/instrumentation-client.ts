// The checks of forms build functions out of text where they may: the page's policy lets no text become a script.
(globalThis as { __zod_globalConfig?: object }).__zod_globalConfig = { jitless: true };
