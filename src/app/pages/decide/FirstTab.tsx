import { FirstSteps } from '../../shared/FirstSteps';

/** What to do first, as a page of its own. */
export function FirstTab() {
  return (
    <section className="panel px-4 py-3" aria-label="What to do first">
      <FirstSteps />
    </section>
  );
}
