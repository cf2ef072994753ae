/** The browser's database does not answer: what may hold it, and the ways on. */
export function Waiting({ onGoOn }: { onGoOn: () => void }) {
  return (
    <main className="mx-auto mt-16 max-w-[560px] px-4">
      <div className="panel border-l-4 border-l-close px-5 py-5" role="status">
        <h1 className="text-[20px]">The browser’s storage does not answer yet</h1>
        <p className="mt-1">
          Your project lies in it. Another page of this program may hold it: close the others, and this one
          goes on by itself. A restart of the browser helps when nothing else is open.
        </p>
        <p className="mt-4 flex flex-wrap gap-2">
          <button type="button" className="btn btn-main" onClick={() => window.location.reload()}>
            Reload
          </button>
          <button type="button" className="btn" onClick={onGoOn}>
            Go on with the demo, without saving
          </button>
        </p>
      </div>
    </main>
  );
}
