/** Lints the texts given as JSON on standard input (`[{ from, code }]`) and prints the rules each one breaks. */
import { ESLint } from 'eslint';

let input = '';
for await (const chunk of process.stdin) input += chunk;
const eslint = new ESLint();
const rules = [];
for (const { from, code } of JSON.parse(input)) {
  const [result] = await eslint.lintText(code, { filePath: from });
  rules.push(result.messages.map(({ ruleId }) => ruleId ?? 'parse'));
}
console.log(JSON.stringify(rules));
