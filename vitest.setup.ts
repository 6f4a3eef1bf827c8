import fc from 'fast-check';

// A counterexample of real numbers is made smaller in tens of minutes: the seed and path that are printed do that by hand.
fc.configureGlobal({ endOnFailure: true });
