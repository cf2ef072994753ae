/** The page's name in the browser's tab and history. @param names from the narrowest to the widest */
export function PageTitle({ names }: { names: readonly string[] }) {
  return <title>{[...names, 'Fervent Kettle'].join(' · ')}</title>;
}
