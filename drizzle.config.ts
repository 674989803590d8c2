import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'turso',
  schema: './src/data/schema/index.ts',
  out: './src/data/migrations',
  dbCredentials: { url: process.env.ROAN_DATABASE_URL ?? 'file:./data/roan.db' },
});
