export { MACHINE, MOST_BYTES, SHOP_NAME, quote, type ShopCode, type ShopJob, type ShopOptions, type ShopQuote } from './machine';
