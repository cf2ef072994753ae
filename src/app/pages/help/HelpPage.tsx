import { GLOSSARY } from '../../../text/en';
import { say } from '../../../text/en/say/help';
import { ShortcutList } from '../../shared/ShortcutList';
import { SAMPLES } from '../../shared/samples';
import { goToStop } from '../../state/tour';
import { ownAddress } from '../../ui/ownAddress';
import { PageTitle } from '../../ui/PageTitle';

/** Concepts, words, keys, sample files and the tour. */
export function HelpPage() {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={['Help']} />
      <header className="flex flex-wrap items-end justify-between gap-3">
        <div className="max-w-[78ch]">
          <h1 className="text-[22px] leading-tight">Help</h1>
          <p className="text-dim">{say.lead}</p>
        </div>
        <button type="button" className="btn btn-main" onClick={() => goToStop(0)}>
          {say.tourAgain}
        </button>
      </header>
      <div className="grid items-start gap-3 lg:grid-cols-2">
        <section className="panel px-4 py-3" aria-label="Concepts">
          <h2 className="text-[15px]">Concepts</h2>
          <p className="caption">{say.conceptsLead}</p>
          <ol className="mt-2 grid list-decimal gap-1 pl-5">
            {say.concepts.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
        </section>
        <div className="grid gap-3">
          <section className="panel px-4 py-3" aria-label="Keys">
            <h2 className="text-[15px]">Keys</h2>
            <ShortcutList />
          </section>
          <section className="panel px-4 py-3" aria-label="Sample files">
            <h2 className="text-[15px]">Sample files</h2>
            <p className="caption">{say.samplesLead}</p>
            <ul className="mt-2 grid gap-1">
              {Object.values(SAMPLES).map(({ file, what }) => (
                <li key={file}>
                  <a className="underline" href={ownAddress(`samples/${file}`)} download>
                    {file}
                  </a>{' '}
                  <span className="text-dim">{what}</span>
                </li>
              ))}
            </ul>
          </section>
        </div>
      </div>
      <p className="caption px-1">
        {say.noticesLead}{' '}
        <a className="underline" href={ownAddress('third-party-notices.txt')}>
          What others wrote, and its licences
        </a>
      </p>
      <section className="panel px-4 py-3" aria-label="Glossary">
        <h2 className="text-[15px]">Glossary</h2>
        <dl className="mt-2 gap-x-6 lg:columns-2">
          {GLOSSARY.map(({ term, meaning }) => (
            <div key={term} className="mb-1.5 break-inside-avoid">
              <dt className="inline font-[650]">{term}. </dt>
              <dd className="inline">{meaning}</dd>
            </div>
          ))}
        </dl>
      </section>
    </div>
  );
}
