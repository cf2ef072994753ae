import { say } from '../../text/en/say/shell';
/** The browser's database does not answer: what may hold it, and the ways on. */
export function Waiting({ onGoOn }: { onGoOn: () => void }) {
  return (
    <main className="mx-auto mt-16 max-w-[560px] px-4">
      <div className="panel border-l-4 border-l-close px-5 py-5" role="status">
        <h1 className="text-[20px]">{say.browserSStorageDoes}</h1>
        <p className="mt-1">{say.yourProjectLiesAnother}</p>
        <p className="mt-4 flex flex-wrap gap-2">
          <button type="button" className="btn btn-main" onClick={() => window.location.reload()}>
            Reload
          </button>
          <button type="button" className="btn" onClick={onGoOn}>
            {say.goDemoWithoutSaving}
          </button>
        </p>
      </div>
    </main>
  );
}
