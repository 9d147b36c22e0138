export { feed, type FeedOptions } from './routes';
