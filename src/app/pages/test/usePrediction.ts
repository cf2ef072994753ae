import { QUESTION } from '../../../compute';
import type { TestAnswer, TestQuestion } from '../../../services';
import { useBackground } from '../../state/context';
import { type Answer, useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';

const QUIET = 350;

/** What the engine says of a test, once it has been let alone for a moment. @param question null waits */
export function usePrediction(question: TestQuestion | null): Answer<TestAnswer> {
  const { decide } = useBackground();
  const settled = useSettled(question, QUIET);
  return useAnswer<TestAnswer>(settled && QUESTION.brakeTest(settled), async (signal) => {
    if (!settled) throw new RangeError('usePrediction: asked before it had settled');
    return decide.call((remote) => remote.brakeTest(settled), signal);
  });
}
