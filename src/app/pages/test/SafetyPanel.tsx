import { STOP_NOW, TEST_SAFETY } from '../../../text/en';
import { say } from '../../../text/en/say/test';

/** Where it may be driven, and what ends it at once. */
export function SafetyPanel() {
  return (
    <section
      className="panel grid gap-x-8 gap-y-3 px-4 py-3 md:grid-cols-2"
      aria-label="Before anybody drives"
    >
      <div>
        <h2 className="text-[15px]">Before anybody drives</h2>
        <ul className="mt-1 list-disc pl-5">
          {TEST_SAFETY.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </div>
      <div>
        <h2 className="text-[15px]">Stop at once when</h2>
        <ul className="mt-1 list-disc pl-5">
          {STOP_NOW.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </div>
      <p className="caption md:col-span-2">{say.safety}</p>
    </section>
  );
}
