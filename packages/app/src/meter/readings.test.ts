import { meterReadings } from "./readings";

const reading = (id: string) => ({ id, typed: `${id} m` });

describe("readings of a distance meter", () => {
  it("wait while no entry is open, newest first and not without end", () => {
    for (let index = 1; index <= 8; index += 1) expect(meterReadings.arrive(reading(`${index}`))).toBe(false);
    expect(meterReadings.read().map((each) => each.id)).toEqual(["8", "7", "6", "5", "4", "3"]);
    meterReadings.use("7");
    expect(meterReadings.read()).toHaveLength(5);
  });

  it("land in the entry opened last, and go back to waiting when it is closed", () => {
    const [first, second] = [jest.fn(), jest.fn()];
    const closeFirst = meterReadings.takeBy(first);
    const closeSecond = meterReadings.takeBy(second);
    expect(meterReadings.arrive(reading("a"))).toBe(true);
    expect(second).toHaveBeenCalledWith("a m");
    closeSecond();
    meterReadings.arrive(reading("b"));
    expect(first).toHaveBeenCalledWith("b m");
    closeFirst();
    expect(meterReadings.arrive(reading("c"))).toBe(false);
  });
});
