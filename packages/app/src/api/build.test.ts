describe("the program on the server", () => {
  it("is told of once, when it is another than the page was loaded with", () => {
    jest.isolateModules(() => {
      const { isNewBuild, noteBuild, subscribeToBuild } = require("./build") as typeof import("./build");
      const told = jest.fn();
      const stop = subscribeToBuild(told);
      noteBuild(null);
      noteBuild("one");
      noteBuild("one");
      noteBuild("");
      expect(isNewBuild()).toBe(false);
      noteBuild("two");
      noteBuild("three");
      expect(isNewBuild()).toBe(true);
      expect(told).toHaveBeenCalledTimes(1);
      stop();
    });
  });
});
