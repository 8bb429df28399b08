import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

// The development server hands calls on to a server started by `npm run dev`, whose port it is given.
const server = `http://127.0.0.1:${process.env.BRACKENFELL_PORT ?? '8418'}`;

/** The list under the ask line brings a dialog of its own along, which is never opened here: 16 kB of the first load. */
const withoutDialogOfList: Plugin = {
  name: 'without-dialog-of-list',
  enforce: 'pre',
  resolveId: (source, importer) =>
    source === '@radix-ui/react-dialog' && importer?.includes('/node_modules/cmdk/') ? '\0no-dialog' : undefined,
  load: (id) =>
    id === '\0no-dialog' ? 'export const Root = null, Portal = null, Overlay = null, Content = null;' : undefined,
};

/** The page names the files of its release, which it fetches while its first screen is looked at (`controls/room.tsx`). */
const filesOfRelease: Plugin = {
  name: 'files-of-release',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle }) =>
      bundle && [
        {
          tag: 'script',
          attrs: { type: 'application/json', id: 'files-of-release' },
          children: JSON.stringify(
            Object.keys(bundle)
              .filter((file) => file.endsWith('.js'))
              .map((file) => `/${file}`),
          ),
          injectTo: 'body',
        },
      ],
  },
};

export default defineConfig({
  plugins: [withoutDialogOfList, filesOfRelease, react(), tailwindcss()],
  build: {
    target: 'es2023',
    // Rooms are fetched ahead one by one: a list of what each of them needs would be a part of the first load.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_, needs, { hostType }) => (hostType === 'html' ? needs : []),
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': server } },
});
