import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

// The development server hands calls on to a server started by `npm run dev`, whose port it is given.
const server = `http://127.0.0.1:${process.env.BRACKENFELL_PORT ?? '8418'}`;

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { target: 'es2023' },
  server: { host: '127.0.0.1', proxy: { '/api': server } },
});
