import { answering, problemAnswer } from '@/app/_server/answering';
import { requestBody } from '@/app/_server/requestBody';
import { takeStrideTest } from '@/app/_server/takeStrideTest';
import { yardContext } from '@/app/_server/yardContext';
import { trustedTimes } from '@/data/trustedTime';
import { StrideTestBatch } from '@/files/strideTestForm';
import { may } from '../../_server/access/rules';

/** Takes stride tests as a device kept them, in order, all of them or none; sent again, each is kept once. */
export const POST = answering(may.instruct, async (request: Request) => {
  const sent = await requestBody(request, StrideTestBatch);
  if (!sent.ok) return problemAnswer(sent.status, sent.problem);
  const { tests, sentAtMs } = sent.body;
  const { write, yard } = await yardContext();
  const testedAt = trustedTimes(
    Date.now(),
    tests.map(({ test }) => test.testedAtMs),
    sentAtMs,
  );
  await write(async tx => {
    for (const test of tests) await takeStrideTest(tx, yard.id, test, testedAt(test.test.testedAtMs));
  });
  return Response.json({ taken: tests.length });
});
