import { useMemo, type ReactNode } from 'react';
import type { InColumns } from './column';
import { outOfColumns } from './out-of-columns';

/** A sheet that is sent what it is drawn from in columns; what else it is given comes as it is. */
export function sentInColumns<Page extends object, Rest extends object = object>(
  Sheet: (props: Page & Rest) => ReactNode,
) {
  return function Sent({ sent, ...rest }: { readonly sent: InColumns<Page> } & Rest) {
    // The same text again, as after an act that changed something else, is the same page again.
    const page = useMemo(() => outOfColumns(sent), [sent]);
    return <Sheet {...page} {...(rest as unknown as Rest)} />;
  };
}
