/**
 * What makes short commands start fast: steps of the build and of the launcher, not used by a command that runs. The
 * class archive of the Java virtual machine leaves out class files older than version 50, so the build renews them.
 */
package raftcart.cli.startup;
