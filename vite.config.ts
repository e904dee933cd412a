import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [laravel({ input: ['resources/js/main.tsx'] }), react({ compiler: true })],
  build: { target: 'es2022' },
});
