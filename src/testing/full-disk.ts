/** From here on nothing more can be written: until `jest.restoreAllMocks()`. */
export function fullDisk(): void {
  const full = () => {
    throw new DOMException('the disk is full', 'QuotaExceededError');
  };
  jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(full);
  jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(full);
}
