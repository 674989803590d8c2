import path from 'node:path';

const NOTICED = ['Killed', 'Timeout'];
const ASKED = [...NOTICED, 'Survived', 'NoCoverage'];

/** For StrykerJS: says what was not noticed as soon as it is known, and how it goes, so that a run that is broken off says something. */
function tellSurvivors() {
  let asked = 0;
  let noticed = 0;
  return {
    onMutationTestingPlanReady: ({ mutantPlans }) => console.log(`${mutantPlans.length} changes`),
    onMutantTested: ({ status, fileName, location, mutatorName, replacement = '' }) => {
      if (!ASKED.includes(status)) return;
      asked += 1;
      if (NOTICED.includes(status)) noticed += 1;
      else {
        const words = replacement.replace(/\s+/g, ' ').slice(0, 90);
        console.log(`${path.relative(process.cwd(), fileName)}:${location.start.line} ${mutatorName} → ${words}`);
      }
      if (asked % 20 === 0) console.log(`${noticed} of ${asked} noticed`);
    },
  };
}

export const strykerPlugins = [
  { kind: 'Reporter', name: 'survivors', factory: Object.assign(tellSurvivors, { inject: [] }) },
];
