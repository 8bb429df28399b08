import type { News } from './held-list.ts';

const WORDS: Record<News, string> = { new: 'new', changed: 'changed', gone: 'no longer here' };

/** What became of an item of a list while it was looked at. */
export function NewsMark({ news }: { readonly news: News | null }) {
  return news && <b className="told-changed">{WORDS[news]}</b>;
}
