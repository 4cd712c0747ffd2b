using Microsoft.AspNetCore.DataProtection.EntityFrameworkCore;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Identity.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using YellowPencil.Core.Engine;

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

    /// <summary>Classes.</summary>
    public DbSet<SchoolClass> Classes => Set<SchoolClass>();

    /// <summary>Sheets set for classes.</summary>
    public DbSet<ClassSheet> ClassSheets => Set<ClassSheet>();

    /// <summary>Readings.</summary>
    public DbSet<StoredReading> Readings => Set<StoredReading>();

    /// <summary>Decisions.</summary>
    public DbSet<Decision> Decisions => Set<Decision>();

    /// <summary>Plans.</summary>
    public DbSet<Plan> Plans => Set<Plan>();

    /// <summary>Sessions.</summary>
    public DbSet<Session> Sessions => Set<Session>();

    /// <summary>Checks.</summary>
    public DbSet<Check> Checks => Set<Check>();

    /// <summary>Reports that were given out.</summary>
    public DbSet<SentReport> Reports => Set<SentReport>();

    /// <summary>Number facts that are learnt.</summary>
    public DbSet<LearntFact> LearntFacts => Set<LearntFact>();

    /// <summary>Checks of number facts.</summary>
    public DbSet<FactCheck> FactChecks => Set<FactCheck>();

    /// <summary>The slots of the week.</summary>
    public DbSet<Slot> Slots => Set<Slot>();

    /// <summary>Who cannot come when.</summary>
    public DbSet<NotFree> NotFree => Set<NotFree>();

    /// <summary>Days without teaching.</summary>
    public DbSet<Holiday> Holidays => Set<Holiday>();

    /// <summary>When the specialist is busy.</summary>
    public DbSet<BusyTime> BusyTimes => Set<BusyTime>();

    /// <summary>Which plan is taught in which slot.</summary>
    public DbSet<Seat> Seats => Set<Seat>();

    /// <summary>What is otherwise on single days.</summary>
    public DbSet<SeatChange> SeatChanges => Set<SeatChange>();

    /// <summary>Proposals for the week.</summary>
    public DbSet<WeekProposal> WeekProposals => Set<WeekProposal>();

    /// <summary>Who looked.</summary>
    public DbSet<Look> Looks => Set<Look>();

    /// <summary>The browsers in which somebody is signed in.</summary>
    public DbSet<SignedInBrowser> SignedInBrowsers => Set<SignedInBrowser>();

    /// <summary>What was tried lately and is limited.</summary>
    public DbSet<Attempts> Attempts => Set<Attempts>();

    /// <summary>The specialists' own names for rules.</summary>
    public DbSet<RuleName> RuleNames => Set<RuleName>();

    /// <summary>Forms that were sent.</summary>
    public DbSet<SentForm> SentForms => Set<SentForm>();

    /// <summary>What was thrown away.</summary>
    public DbSet<Removal> Removals => Set<Removal>();

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
        builder.Entity<Specialist>(specialist =>
        {
            specialist.Property(s => s.TypingDirection).HasConversion<string>().HasMaxLength(20);
            specialist.Property(s => s.TimeZone).HasMaxLength(60);
            specialist.Property(s => s.CalendarKey).HasMaxLength(64);
            specialist.HasIndex(s => s.CalendarKey).IsUnique();
        });
        builder.Entity<SignedInBrowser>().HasOne<Specialist>().WithMany().HasForeignKey(b => b.SpecialistId);
        builder.Entity<Attempts>().HasKey(a => a.Key);
        builder.Entity<RuleName>(name =>
        {
            Own(name);
            name.Property(n => n.Name).HasMaxLength(200);
        });
        builder.Entity<SentForm>(form =>
        {
            Own(form);
            form.HasKey(f => new { f.OwnerId, f.Id });
        });
        builder.Entity<Removal>(removal => Own(removal));
        builder.Entity<Student>(student =>
        {
            OwnRemovable(student);
            student.HasIndex(s => new { s.OwnerId, s.CodeKey }).IsUnique().HasFilter("removal_id is null");
            student.Property(s => s.Code).HasMaxLength(40);
            student.Property(s => s.CodeKey).HasMaxLength(40);
            student.Property(s => s.CallName).HasMaxLength(40);
            student.Property(s => s.Word).HasConversion<string>().HasMaxLength(20);
            student.Property(s => s.School).HasMaxLength(400);
            student.Ignore(s => s.Classroom);
        });
        builder.Entity<StudentPage>(page =>
        {
            OwnRemovable(page);
            page.ToTable("pages");
            page.Property(p => p.Title).HasMaxLength(200);
            page.Property(p => p.State).HasConversion<string>().HasMaxLength(20);
            page.Property(p => p.Direction).HasConversion<string>().HasMaxLength(20);
            page.Property(p => p.Content).HasColumnType("jsonb");
            page.Property(p => p.ItemVersions).HasColumnType("jsonb");
            page.Property(p => p.Known).HasColumnType("jsonb");
            page.Property(p => p.NotRead).HasColumnType("jsonb");
            page.HasOne(p => p.ClassSheet).WithMany(s => s.Pages).HasForeignKey(p => p.ClassSheetId).OnDelete(DeleteBehavior.SetNull);
            page.HasOne(p => p.Student).WithMany(s => s.Pages).HasForeignKey(p => p.StudentId);
        });
        builder.Entity<SchoolClass>(schoolClass =>
        {
            OwnRemovable(schoolClass);
            schoolClass.ToTable("classes");
            schoolClass.Property(c => c.Name).HasMaxLength(100);
            schoolClass.Property(c => c.Word).HasConversion<string>().HasMaxLength(20);
            schoolClass.HasMany(c => c.Students).WithMany(s => s.Classes).UsingEntity("class_students");
        });
        builder.Entity<ClassSheet>(sheet =>
        {
            OwnRemovable(sheet);
            sheet.Property(s => s.Title).HasMaxLength(200);
            sheet.HasOne(s => s.Class).WithMany(c => c.Sheets).HasForeignKey(s => s.ClassId);
        });
        builder.Entity<StoredReading>(reading =>
        {
            Own(reading);
            reading.ToTable("readings");
            reading.Property(r => r.Content).HasColumnType("jsonb");
            reading.Property(r => r.ClassLine).HasColumnType("jsonb");
            reading.HasIndex(r => new { r.PageId, r.PageVersion, r.EngineVersion }).IsUnique();
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
            OwnRemovable(plan);
            plan.HasIndex(p => new { p.PageId, p.PageVersion, p.Rules, p.Turn }).IsUnique().HasFilter("removal_id is null");
            plan.Property(p => p.Word).HasConversion<string>().HasMaxLength(20);
            plan.Property(p => p.School).HasMaxLength(400);
            plan.Ignore(p => p.Classroom);
            plan.HasOne(p => p.Student).WithMany(s => s.Plans).HasForeignKey(p => p.StudentId);
            plan.HasOne(p => p.Page).WithMany(p => p.Plans).HasForeignKey(p => p.PageId);
        });
        builder.Entity<Session>(session =>
        {
            Own(session);
            session.Property(s => s.Ticks).HasColumnType("jsonb");
            session.Property(s => s.Said).HasMaxLength(1_000);
            session.Property(s => s.Changed).HasMaxLength(1_000);
            session.Property(s => s.Overruled).HasConversion<string>().HasMaxLength(20);
            session.HasOne(s => s.Plan).WithMany(p => p.Sessions).HasForeignKey(s => s.PlanId);
        });
        builder.Entity<Check>(check =>
        {
            Own(check);
            check.HasIndex(c => new { c.PlanId, c.Number }).IsUnique();
            check.Property(c => c.Content).HasColumnType("jsonb");
            check.HasOne(c => c.Plan).WithMany(p => p.Checks).HasForeignKey(c => c.PlanId);
            check.HasOne(c => c.Page).WithOne(p => p.Check).HasForeignKey<Check>(c => c.PageId);
        });
        builder.Entity<SentReport>(report =>
        {
            Own(report);
            report.ToTable("reports");
            report.Property(r => r.Kind).HasConversion<string>().HasMaxLength(20);
            report.Property(r => r.Text).HasMaxLength(4_000);
            report.HasOne(r => r.Plan).WithMany().HasForeignKey(r => r.PlanId);
        });
        builder.Entity<LearntFact>(fact =>
        {
            Own(fact);
            fact.Property(f => f.Fact).HasMaxLength(40);
            fact.HasIndex(f => new { f.StudentId, f.Fact }).IsUnique();
            fact.HasOne<Student>().WithMany(s => s.LearntFacts).HasForeignKey(f => f.StudentId);
        });
        builder.Entity<FactCheck>(check =>
        {
            Own(check);
            check.HasOne<LearntFact>().WithMany(f => f.Checks).HasForeignKey(c => c.LearntFactId);
        });
        builder.Entity<Slot>(slot =>
        {
            Own(slot);
            slot.Property(s => s.Day).HasConversion<int>();
        });
        builder.Entity<NotFree>(not =>
        {
            Own(not);
            not.ToTable("not_free");
            not.HasKey(n => new { n.StudentId, n.SlotId });
            not.HasOne<Student>().WithMany(s => s.NotFree).HasForeignKey(n => n.StudentId);
            not.HasOne<Slot>().WithMany(s => s.NotFree).HasForeignKey(n => n.SlotId);
        });
        builder.Entity<Holiday>(holiday =>
        {
            Own(holiday);
            holiday.Property(h => h.Name).HasMaxLength(60);
        });
        builder.Entity<BusyTime>(busy => Own(busy));
        builder.Entity<Seat>(seat =>
        {
            Own(seat);
            seat.HasOne(s => s.Plan).WithMany(p => p.Seats).HasForeignKey(s => s.PlanId);
            seat.HasOne(s => s.Slot).WithMany().HasForeignKey(s => s.SlotId);
        });
        builder.Entity<SeatChange>(change =>
        {
            Own(change);
            change.HasIndex(c => new { c.SeatId, c.On }).IsUnique();
            change.Property(c => c.Because).HasMaxLength(400);
            change.HasOne<Seat>().WithMany(s => s.Changes).HasForeignKey(c => c.SeatId);
            change.HasOne<Slot>().WithMany().HasForeignKey(c => c.ToSlotId).OnDelete(DeleteBehavior.Cascade);
        });
        builder.Entity<WeekProposal>(proposal =>
        {
            Own(proposal);
            proposal.Property(p => p.State).HasConversion<string>().HasMaxLength(20);
        });
        builder.Entity<Look>(look =>
        {
            Own(look);
            look.HasOne<Student>().WithMany().HasForeignKey(l => l.StudentId);
        });
    }

    private void OwnRemovable<T>(EntityTypeBuilder<T> entity)
        where T : class, IOwned, IRemovable
    {
        Own(entity);
        entity.HasQueryFilter(row => row.OwnerId == OwnerId && row.RemovalId == null);
        entity.HasOne<Removal>().WithMany().HasForeignKey(row => row.RemovalId).OnDelete(DeleteBehavior.Restrict);
    }

    private void Own<T>(EntityTypeBuilder<T> entity)
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
