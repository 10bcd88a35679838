// Stands for "server-only" in the tests, which run the server's code outside Next, and for what a bundle does without.
export {};
