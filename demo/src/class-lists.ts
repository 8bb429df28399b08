import type { z } from 'zod';
import type { CatalogueFile } from '@brackenfell/contract/catalogue-file';

/** What the Three Tarns Rally Club permits, class by class, while each list is in force. */
export const classLists: NonNullable<z.input<typeof CatalogueFile>['classLists']> = [
  {
    className: 'Tarn 1',
    from: '2024-01-01',
    numbers: ['KN 419G-67SR', 'KN 419G-67S'],
    source: 'Three Tarns Rally Club, book of classes',
  },
  {
    className: 'Tarn 2',
    from: '2024-01-01',
    to: '2025-12-31',
    numbers: ['KN 419G-67S'],
    source: 'Three Tarns Rally Club, book of classes',
  },
  {
    className: 'Tarn 2',
    from: '2026-01-01',
    numbers: ['KN 419G-67SR'],
    source: 'Three Tarns Rally Club, book of classes',
  },
];
