import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'sqlite', schema: './server/src/tables/*.ts', out: './server/drizzle' });
