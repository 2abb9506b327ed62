export { localAnswers } from './answers.ts';
export { keepReady } from './fetch.ts';
