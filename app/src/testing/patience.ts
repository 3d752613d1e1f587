/** The first screen of a file is compiled while it waits, on machines that may be slow. */
jest.setTimeout(60_000);
