import { catalogueOf } from '../src/core/suggest/catalogue';
import { USUAL_HORSE } from '../src/core/plan/resolvePlan';
const ground: any = { name: 'x', arena: { widthM: 20, lengthM: 40, letters: '20x40' }, fall: null, kit: null, horses: [{...USUAL_HORSE}] };
let t = performance.now();
for (let i=0;i<3;i++) catalogueOf(ground, ['usual']);
console.log((performance.now()-t)/3, 'ms');
for (const f of catalogueOf(ground, ['usual'])) console.log(f.exercise, f.stages.map(s=>`${s.name}|${s.kind}|${s.hasReins?'r':'-'}|${s.rideTime.rideMin.toFixed(1)}|${s.eachRein}|${s.work.stops.filter(x=>x.includes('effort')).length}`).join('; '));
