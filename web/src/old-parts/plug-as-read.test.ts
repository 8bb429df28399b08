import { describe, expect, test } from '@jest/globals';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { SIGN_IDS, type SignId } from '@brackenfell/core/old-parts/signs';
import { PlugAsRead } from './plug-as-read.tsx';

/** Shapes and textures alone: what a drawing is in grey, and to whoever tells no colours apart. */
const drawn = (signs: readonly SignId[], isRead = true): string =>
  renderToStaticMarkup(createElement(PlugAsRead, { signs, isRead }))
    .replaceAll(/<defs>.*?<\/defs>/g, '')
    .replaceAll(/(?:stroke|fill)="(?:#|var)[^"]*"/g, '');

describe('the picture of a sign', () => {
  test('is told from every other, and from a plug with nothing odd, without its colour', () => {
    const pictures = new Map(SIGN_IDS.map((id) => [drawn([id]), id]));
    expect(pictures.size).toBe(SIGN_IDS.length);
    expect(pictures.has(drawn([]))).toBe(false);
  });
  test('a plug that was not read is broken and pale, so that nobody takes it for a clean one', () => {
    expect(drawn([], false)).toContain('stroke-dasharray');
    expect(drawn([], false)).not.toBe(drawn([]));
  });
  test('each deposit has a texture of its own', () => {
    const textures = renderToStaticMarkup(createElement(PlugAsRead, { signs: [], isRead: true }))
      .match(/<pattern .*?<\/pattern>/g)!
      .map((one) => one.replaceAll(/(?:id|fill|stroke)="[^"]*"/g, ''));
    expect(new Set(textures).size).toBe(textures.length);
  });
});
