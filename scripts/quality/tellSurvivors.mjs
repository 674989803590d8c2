import path from 'node:path';

const NOTICED = ['Killed', 'Timeout'];
const ASKED = [...NOTICED, 'Survived', 'NoCoverage'];

export const isAsked = ({ status }) => ASKED.includes(status);
export const isNoticed = ({ status }) => NOTICED.includes(status);
export const changeWords = ({ fileName, location, mutatorName, replacement = '' }) =>
  `${path.relative(process.cwd(), fileName)}:${location.start.line} ${mutatorName} → ${replacement.replace(/\s+/g, ' ').slice(0, 60)}`;

/** For StrykerJS: says what was not noticed as soon as it is known, and how it goes, so that a run that is broken off says something. */
function tellSurvivors() {
  let asked = 0;
  let noticed = 0;
  return {
    onMutationTestingPlanReady: ({ mutantPlans }) => console.log(`${mutantPlans.length} changes`),
    onMutantTested: result => {
      if (!isAsked(result)) return;
      asked += 1;
      if (isNoticed(result)) noticed += 1;
      else console.log(changeWords(result));
      if (asked % 20 === 0) console.log(`${noticed} of ${asked} noticed`);
    },
  };
}

export const strykerPlugins = [
  { kind: 'Reporter', name: 'survivors', factory: Object.assign(tellSurvivors, { inject: [] }) },
];
