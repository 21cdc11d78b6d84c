package tinperch.files.json;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.cfg.MapperConfig;
import com.fasterxml.jackson.databind.deser.DeserializationProblemHandler;
import com.fasterxml.jackson.databind.introspect.Annotated;
import com.fasterxml.jackson.databind.introspect.AnnotatedClass;
import com.fasterxml.jackson.databind.introspect.JacksonAnnotationIntrospector;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import com.fasterxml.jackson.databind.jsontype.TypeIdResolver;
import com.fasterxml.jackson.databind.jsontype.TypeResolverBuilder;
import com.fasterxml.jackson.databind.jsontype.impl.StdTypeResolverBuilder;
import java.util.Arrays;
import java.util.List;

/**
 * Values of a sealed interface are written with a field "kind" that names which of its records they are: the record's name without the
 * interface's, beginning small. A kind that is not known is read as nothing, so that the rest can still be read.
 */
final class SealedKinds extends JacksonAnnotationIntrospector {
    private static final long serialVersionUID = 1L;
    private static final String FIELD = "kind";

    private static boolean isSealedFamily(Class<?> type) {
        return type.isInterface() && type.isSealed() && type.getName().startsWith("tinperch.");
    }

    private static String word(Class<?> record, Class<?> family) {
        String name = record.getSimpleName();
        String plain = name.endsWith(family.getSimpleName()) ? name.substring(0, name.length() - family.getSimpleName().length()) : name;
        return Character.toLowerCase(plain.charAt(0)) + plain.substring(1);
    }

    @Override
    public TypeResolverBuilder<?> findTypeResolver(MapperConfig<?> config, AnnotatedClass of, JavaType base) {
        return isSealedFamily(of.getRawType()) ? new StdTypeResolverBuilder().init(JsonTypeInfo.Id.NAME, null)
                .inclusion(JsonTypeInfo.As.PROPERTY).typeProperty(FIELD) : super.findTypeResolver(config, of, base);
    }

    @Override
    public List<NamedType> findSubtypes(Annotated of) {
        Class<?> family = of.getRawType();
        if (!isSealedFamily(family)) {
            return super.findSubtypes(of);
        }
        return Arrays.stream(family.getPermittedSubclasses()).map(c -> new NamedType(c, word(c, family))).toList();
    }

    /** Reads what it does not know as nothing. */
    static final class UnknownKind extends DeserializationProblemHandler {
        @Override
        public JavaType handleUnknownTypeId(DeserializationContext ctxt, JavaType base, String id, TypeIdResolver resolver, String failure) {
            return ctxt.constructType(Void.class);
        }

        @Override
        public JavaType handleMissingTypeId(DeserializationContext ctxt, JavaType base, TypeIdResolver resolver, String failure) {
            return ctxt.constructType(Void.class);
        }
    }
}
