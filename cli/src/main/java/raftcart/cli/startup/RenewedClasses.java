package raftcart.cli.startup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Enumeration;
import java.util.List;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.jar.JarOutputStream;
import java.util.stream.Stream;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Opcodes;

/**
 * Gives the class files of libraries that were compiled for Java 5 and before the stack map frames and the version
 * number of Java 8 (The Java Virtual Machine Specification, section 4.10.1), without a change to what they do. Only
 * such classes are taken into a class archive; the library of the command line is one of these, and reading it took a
 * fifth of the time of a one-line rewrite.
 */
public final class RenewedClasses {
    /** Class files of this version and later are archived as they are (Java 6). */
    private static final int ARCHIVED = Opcodes.V1_6;

    private static final int VERSION_AT = 6;

    private RenewedClasses() {}

    /** Renews every jar in a folder that holds old class files; the argument is the folder. */
    public static void main(String[] arguments) throws IOException {
        List<Path> jars;
        try (Stream<Path> files = Files.list(Path.of(arguments[0]))) {
            jars = files.filter(file -> file.toString().endsWith(".jar"))
                    .sorted()
                    .toList();
        }
        for (Path jar : jars) {
            if (holdsOld(jar)) {
                renew(jar);
            }
        }
    }

    private static boolean holdsOld(Path file) throws IOException {
        try (JarFile jar = new JarFile(file.toFile())) {
            return jar.stream().anyMatch(entry -> {
                try {
                    return isOld(entry, content(jar, entry));
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        }
    }

    private static void renew(Path file) throws IOException {
        Path renewed = file.resolveSibling(file.getFileName() + ".renewed");
        try (JarFile jar = new JarFile(file.toFile());
                URLClassLoader library =
                        new URLClassLoader(new URL[] {file.toUri().toURL()});
                JarOutputStream out = new JarOutputStream(Files.newOutputStream(renewed))) {
            for (Enumeration<JarEntry> entries = jar.entries(); entries.hasMoreElements(); ) {
                JarEntry entry = entries.nextElement();
                byte[] content = content(jar, entry);
                JarEntry copy = new JarEntry(entry.getName());
                copy.setTime(entry.getTime());
                out.putNextEntry(copy);
                out.write(isOld(entry, content) ? withFrames(content, library) : content);
                out.closeEntry();
            }
        }
        Files.move(renewed, file, StandardCopyOption.REPLACE_EXISTING);
    }

    private static byte[] content(JarFile jar, JarEntry entry) throws IOException {
        try (var in = jar.getInputStream(entry)) {
            return in.readAllBytes();
        }
    }

    private static boolean isOld(JarEntry entry, byte[] content) {
        return entry.getName().endsWith(".class")
                && (Byte.toUnsignedInt(content[VERSION_AT]) << Byte.SIZE | Byte.toUnsignedInt(content[VERSION_AT + 1]))
                        < ARCHIVED;
    }

    private static byte[] withFrames(byte[] old, ClassLoader library) {
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_FRAMES) {
            @Override
            protected ClassLoader getClassLoader() {
                return library;
            }
        };
        ClassVisitor newer = new ClassVisitor(Opcodes.ASM9, writer) {
            @Override
            public void visit(
                    int version, int access, String name, String signature, String parent, String[] interfaces) {
                super.visit(Opcodes.V1_8, access, name, signature, parent, interfaces);
            }
        };
        new ClassReader(old).accept(newer, ClassReader.SKIP_FRAMES);
        return writer.toByteArray();
    }
}
