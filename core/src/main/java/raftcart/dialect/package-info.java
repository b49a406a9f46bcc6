/**
 * What an engine's SQL looks like. Each engine has a package of its own below this one; nothing outside that package
 * knows the engine's name.
 */
package raftcart.dialect;
