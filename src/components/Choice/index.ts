export { Choice } from './Choice';
