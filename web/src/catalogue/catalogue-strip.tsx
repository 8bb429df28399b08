import { useQuery } from '@tanstack/react-query';
import { Mark } from '../controls/mark.tsx';
import { SheetStrip } from '../controls/sheet-strip.tsx';
import { call } from '../wire/call.ts';

/** The sheets of the catalogue room. */
export function CatalogueStrip() {
  const audit = useQuery({ queryKey: ['audit'], queryFn: () => call('getAudit', {}) });
  const open = audit.data?.open ?? 0;
  return (
    <SheetStrip
      title="Catalogue"
      label="Sheets of the catalogue"
      sheets={[
        { key: '1', name: 'Engines', to: '/catalogue/engines', needs: 'by words' },
        { key: '2', name: 'By dimension', to: '/catalogue/dimensions', needs: 'tape or gauge' },
        { key: '3', name: 'Numbers', to: '/catalogue/numbers', needs: 'parts, in their order' },
        { key: '4', name: 'Imports', to: '/catalogue/imports', needs: 'lists of suppliers' },
        {
          key: '5',
          name: 'Audit',
          to: '/catalogue/audit',
          needs: (
            <>
              {open > 0 && <Mark kind="refuse" rem={0.625} />}
              <span className="truncate">{audit.data?.job ? `${open} open` : 'never run'}</span>
            </>
          ),
        },
        { key: '6', name: 'Makers', to: '/catalogue/makers', needs: 'heat, numbers' },
      ]}
    />
  );
}
