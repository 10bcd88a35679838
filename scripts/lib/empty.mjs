// Stands for "server-only" in the tests, which run the server's code outside Next.
export {};
