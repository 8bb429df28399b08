/** What a line of each kind brings, as it is called at the counter; in the order of the file. */
const BRINGS: Readonly<Record<string, string>> = {
  maker: 'Makers',
  'heat-scale': 'Heat scales',
  numbering: 'Ways to read numbers',
  part: 'Parts and numbers',
  kit: 'Kits',
  engine: 'Engines',
  reference: 'References',
  listing: 'Listings',
  'class-list': 'Class lists',
};

/** What a whole catalogue would bring or brought, counted. */
export function WholeLines({ whole }: { readonly whole: Readonly<Record<string, number>> }) {
  return (
    <table className="m-3">
      <caption className="sr-only">What the catalogue holds</caption>
      <tbody>
        {Object.entries(BRINGS).map(([kind, says]) => (
          <tr key={kind}>
            <th scope="row" className="pr-6 text-left font-normal">
              {says}
            </th>
            <td className="num text-right">{whole[kind] ?? 0}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
