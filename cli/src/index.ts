export { main, type Output } from './main.ts';
