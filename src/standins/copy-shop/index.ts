export { MACHINE, SHOP_NAME, quote, type ShopOptions, type ShopQuote } from './machine';
