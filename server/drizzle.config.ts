import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'sqlite', schema: './server/src/features/*/tables.ts', out: './server/drizzle' });
