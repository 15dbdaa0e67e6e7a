module.exports = async () => {
  await globalThis.stopTestDatabase?.();
};
