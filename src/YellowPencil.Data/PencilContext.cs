using Microsoft.AspNetCore.DataProtection.EntityFrameworkCore;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Identity.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore;

namespace YellowPencil.Data;

/// <summary>Who is asking: the owner whose rows are shown.</summary>
public interface ICurrentOwner
{
    /// <summary>The owner's key; null when nobody is signed in, and then no owned row is shown.</summary>
    Guid? Id { get; }
}

/// <summary>The database. Owned rows are filtered by the current owner, here and nowhere else.</summary>
public sealed class PencilContext(DbContextOptions<PencilContext> options, ICurrentOwner owner)
    : IdentityDbContext<Specialist, IdentityRole<Guid>, Guid>(options), IDataProtectionKeyContext
{
    /// <summary>Students.</summary>
    public DbSet<Student> Students => Set<Student>();

    /// <summary>Pages of work.</summary>
    public DbSet<StudentPage> Pages => Set<StudentPage>();

    /// <summary>Readings.</summary>
    public DbSet<StoredReading> Readings => Set<StoredReading>();

    /// <summary>Decisions.</summary>
    public DbSet<Decision> Decisions => Set<Decision>();

    /// <summary>Plans.</summary>
    public DbSet<Plan> Plans => Set<Plan>();

    /// <summary>Who looked.</summary>
    public DbSet<Look> Looks => Set<Look>();

    /// <inheritdoc/>
    public DbSet<DataProtectionKey> DataProtectionKeys => Set<DataProtectionKey>();

    private Guid OwnerId => owner.Id ?? Guid.Empty;

    /// <inheritdoc/>
    public override int SaveChanges(bool acceptAllChangesOnSuccess)
    {
        StampOwner();
        return base.SaveChanges(acceptAllChangesOnSuccess);
    }

    /// <inheritdoc/>
    public override Task<int> SaveChangesAsync(bool acceptAllChangesOnSuccess, CancellationToken cancellationToken = default)
    {
        StampOwner();
        return base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken);
    }

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder builder)
    {
        base.OnModelCreating(builder);
        builder.Entity<Student>(student =>
        {
            Own(student);
            student.HasIndex(s => new { s.OwnerId, s.Code }).IsUnique();
            student.Property(s => s.Code).HasMaxLength(40);
            student.Property(s => s.CallName).HasMaxLength(40);
            student.Property(s => s.Word).HasConversion<string>().HasMaxLength(20);
        });
        builder.Entity<StudentPage>(page =>
        {
            Own(page);
            page.ToTable("pages");
            page.Property(p => p.Title).HasMaxLength(200);
            page.Property(p => p.State).HasConversion<string>().HasMaxLength(20);
            page.Property(p => p.Content).HasColumnType("jsonb");
            page.Property(p => p.ItemVersions).HasColumnType("jsonb");
            page.HasOne(p => p.Student).WithMany(s => s.Pages).HasForeignKey(p => p.StudentId);
        });
        builder.Entity<StoredReading>(reading =>
        {
            Own(reading);
            reading.ToTable("readings");
            reading.Property(r => r.Content).HasColumnType("jsonb");
            reading.HasOne<StudentPage>().WithMany(p => p.Readings).HasForeignKey(r => r.PageId);
        });
        builder.Entity<Decision>(decision =>
        {
            Own(decision);
            decision.Property(d => d.Kind).HasConversion<string>().HasMaxLength(20);
            decision.Property(d => d.Text).HasMaxLength(2_000);
            decision.HasOne<StudentPage>().WithMany(p => p.Decisions).HasForeignKey(d => d.PageId);
        });
        builder.Entity<Plan>(plan =>
        {
            Own(plan);
            plan.Property(p => p.Word).HasConversion<string>().HasMaxLength(20);
            plan.HasOne(p => p.Student).WithMany(s => s.Plans).HasForeignKey(p => p.StudentId);
            plan.HasOne<StudentPage>().WithMany().HasForeignKey(p => p.PageId);
        });
        builder.Entity<Look>(look =>
        {
            Own(look);
            look.HasOne<Student>().WithMany().HasForeignKey(l => l.StudentId);
        });
    }

    private void Own<T>(Microsoft.EntityFrameworkCore.Metadata.Builders.EntityTypeBuilder<T> entity)
        where T : class, IOwned
    {
        entity.HasQueryFilter(row => row.OwnerId == OwnerId);
        entity.HasIndex(row => row.OwnerId);
        entity.HasOne<Specialist>().WithMany().HasForeignKey(row => row.OwnerId);
    }

    // A row that is added belongs to whoever adds it; loading demo data names the owner itself.
    private void StampOwner()
    {
        foreach (var entry in ChangeTracker.Entries<IOwned>().Where(e => e.State == EntityState.Added && e.Entity.OwnerId == Guid.Empty))
            entry.Entity.OwnerId = owner.Id ?? throw new InvalidOperationException("a row without an owner was added while nobody is signed in");
    }
}
